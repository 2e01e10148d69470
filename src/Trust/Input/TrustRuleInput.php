<?php

declare(strict_types=1);

namespace App\Trust\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What it takes before a learner may decide on a part. */
final readonly class TrustRuleInput
{
    /**
     * @param string $taxon       id of the kind
     * @param string $part        id of its part
     * @param int    $looks       trees of the kind named right, unbiased
     * @param int    $lookAlikes  look-alikes and other dangerous kinds named right
     * @param int    $traps       practice trees that were something else and were not taken
     * @param int    $months      all in so many months
     * @param int    $validMonths so long it is good for
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Length(max: 80)] public string $taxon = '',
        #[Assert\NotBlank] #[Assert\Length(max: 40)] public string $part = '',
        #[Assert\Range(min: 1, max: 99)] public int $looks = 5,
        #[Assert\Range(min: 0, max: 99)] public int $lookAlikes = 3,
        #[Assert\Range(min: 0, max: 99)] public int $traps = 5,
        #[Assert\Range(min: 1, max: 36)] public int $months = 12,
        #[Assert\Range(min: 1, max: 36)] public int $validMonths = 12,
    ) {
    }
}
