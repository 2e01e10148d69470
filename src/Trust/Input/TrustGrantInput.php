<?php

declare(strict_types=1);

namespace App\Trust\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Who is to be trusted with what. */
final readonly class TrustGrantInput
{
    /**
     * @param string $id      made by whoever grants it, so that sent twice it is one
     * @param string $learner id of the learner
     * @param string $taxon   id of the kind
     * @param string $part    id of its part
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id = '',
        #[Assert\NotBlank] #[Assert\Uuid] public string $learner = '',
        #[Assert\NotBlank] #[Assert\Length(max: 80)] public string $taxon = '',
        #[Assert\NotBlank] #[Assert\Length(max: 40)] public string $part = '',
    ) {
    }
}
