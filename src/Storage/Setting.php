<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\ORM\Mapping as ORM;

#[ORM\Entity(repositoryClass: SettingRepository::class)]
class Setting
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(length: 40)]
        public readonly string $name,
        #[ORM\Column(length: 200)]
        public string $content,
    ) {
    }
}
