<?php

declare(strict_types=1);

namespace App\Survey\View;

/** Several kinds under one name, where that is enough. */
final readonly class GroupView
{
    /**
     * @param string $id   of the group
     * @param string $name in the plural
     */
    public function __construct(public string $id, public string $name)
    {
    }
}
