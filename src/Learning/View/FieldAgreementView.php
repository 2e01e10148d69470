<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How far the school agrees in the field, and how its trees vary. */
final readonly class FieldAgreementView
{
    /**
     * @param list<AgreementView> $characters the least agreed first
     * @param list<VariationView> $variation  kinds of which several trees were scored
     */
    public function __construct(public array $characters, public array $variation)
    {
    }
}
