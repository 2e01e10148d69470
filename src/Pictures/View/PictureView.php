<?php

declare(strict_types=1);

namespace App\Pictures\View;

use App\Pictures\Picture;
use Hylognosis\Measure\CalendarDay;

/** A picture, or the paper a permission stands on. */
final readonly class PictureView
{
    /**
     * @param string      $id                  its id
     * @param string      $type                media type
     * @param int         $width               pixels; 0 for a paper
     * @param int         $height              pixels
     * @param string      $caption             what it shows; may be empty
     * @param string      $takenOn             day, YYYY-MM-DD
     * @param string      $by                  who added it
     * @param string|null $score               id of the score it is evidence of
     * @param string|null $examination         id of the examination it belongs to
     * @param string|null $harvest             id of the harvest it shows
     * @param string|null $permission          id of the permission it is the paper of
     * @param string|null $sign                id of the sign of illness it shows, as it was told
     * @param float|null  $pixelsPerMillimetre of what lies in it; null where nobody has laid a known length in
     * @param bool        $removed             it was taken away, and can be put back
     */
    public function __construct(
        public string $id,
        public string $type,
        public int $width,
        public int $height,
        public string $caption,
        public string $takenOn,
        public string $by,
        public ?string $score,
        public ?string $examination,
        public ?string $harvest,
        public ?string $permission,
        public ?string $sign,
        public ?float $pixelsPerMillimetre,
        public bool $removed,
    ) {
    }

    public static function of(Picture $picture): self
    {
        return new self(
            $picture->id,
            $picture->type,
            $picture->width,
            $picture->height,
            $picture->caption,
            CalendarDay::iso($picture->takenOn),
            $picture->addedBy->name,
            $picture->score?->id,
            $picture->examination?->id,
            $picture->harvest?->id,
            $picture->permission?->id,
            $picture->sign?->id,
            $picture->pixelsPerMillimetre,
            null !== $picture->removedAt,
        );
    }
}
