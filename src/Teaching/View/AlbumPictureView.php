<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A picture in the album. */
final readonly class AlbumPictureView
{
    /**
     * @param string $id its id
     * @param string $caption what it shows
     * @param string $on day, YYYY-MM-DD
     */
    public function __construct(
        public string $id,
        public string $caption,
        public string $on,
    ) {
    }
}
