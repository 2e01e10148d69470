<?php

declare(strict_types=1);

namespace App\Storm\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** It blew. */
final readonly class NewWalk
{
    /**
     * @param string     $id     a UUID made by whoever raises it
     * @param string     $siteId the place
     * @param string     $blewAt when it blew, ISO 8601, or the day alone; empty: just now
     * @param float|null $gust   metres per second; null: nobody measured it
     */
    public function __construct(
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $id,
        #[Assert\NotBlank(message: 'Say where it blew.')]
        #[Assert\Length(max: 64)]
        public string $siteId,
        #[Assert\Regex(
            '/^(\d{4}-\d\d-\d\d(T\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d))?)?$/D',
            message: 'Say when it blew: a day, or a day and an hour.',
        )]
        public string $blewAt = '',
        #[Assert\Range(min: 1, max: 120, notInRangeMessage: 'A gust is 1 to 120 m/s.')]
        public ?float $gust = null,
    ) {
    }
}
