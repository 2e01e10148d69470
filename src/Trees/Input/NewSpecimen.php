<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Trees\PositionFrom;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A tree to be tagged. */
final readonly class NewSpecimen
{
    /**
     * @param string $tag         tag on the tree
     * @param string $siteId      id of the place it stands at
     * @param string     $whereabouts how to find it again
     * @param float|null $latitude    degrees, north above 0; null: nobody has taken it
     * @param float|null $longitude   degrees, east above 0
     * @param float|null $uncertainty metres within which it stands
     * @param string|null $id         a UUID made by whoever sends it; null: the server makes one
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the tree a tag, such as K-07.', normalizer: 'trim')]
        #[Assert\Length(max: 24)]
        #[Assert\Regex('/[\p{L}\p{N}]/u', message: 'Give the tree a tag, such as K-07.')]
        #[PlainText]
        public string $tag,
        #[Assert\NotBlank(message: 'Say on which site it stands.', normalizer: 'trim')]
        #[Assert\Length(max: 64)]
        public string $siteId,
        #[Assert\Length(max: 300)] #[PlainText] public string $whereabouts = '',
        #[Assert\Range(min: -90, max: 90)] public ?float $latitude = null,
        #[Assert\Range(min: -180, max: 180)] public ?float $longitude = null,
        #[Assert\Range(min: 0, max: 10000)] public ?float $uncertainty = null,
        public PositionFrom $positionFrom = PositionFrom::Unknown,
        #[Assert\Uuid(message: 'The id must be a UUID.')] public ?string $id = null,
    ) {
    }
}
