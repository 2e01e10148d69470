<?php

declare(strict_types=1);

namespace App\Pictures;

use Doctrine\ORM\Mapping as ORM;

/** The bytes of a picture, in the database: a copy of it holds them, and nothing is half stored. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'picture_bytes')]
class PictureBytes
{
    /**
     * @param string          $hash SHA-256 of the full picture
     * @param resource|string $bytes
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Id]
        #[ORM\Column(length: 8)]
        public readonly Rendition $kind,
        #[ORM\Column(type: 'blob')]
        public readonly mixed $bytes,
    ) {
    }
}
