<?php

declare(strict_types=1);

namespace App\Survey\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A walk is begun. */
final readonly class NewSurvey
{
    /**
     * @param string $id     a UUID made by whoever begins it
     * @param string $siteId id of the place
     */
    public function __construct(
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $id,
        #[Assert\NotBlank(message: 'Say which place is walked.')]
        #[Assert\Length(max: 64)]
        public string $siteId,
    ) {
    }
}
