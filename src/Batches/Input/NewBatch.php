<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Something is to be made. */
final readonly class NewBatch
{
    /**
     * @param string             $id      made by whoever begins it, a UUID: sent twice it is begun once
     * @param string             $name    what it is called
     * @param string             $recipe  id of the recipe
     * @param list<string>       $ways    names of the ways taken, in the order of the partings
     * @param array<string, int> $sources harvest → percent of it that goes in
     * @param float              $grams   that go in, as weighed
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        #[Assert\NotBlank(message: 'Say what it is called.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        #[Assert\NotBlank] #[Assert\Length(max: 60)] public string $recipe,
        #[Assert\Count(max: 10)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 60)])]
        public array $ways,
        #[Assert\Count(min: 1, max: 50, minMessage: 'Say of which harvests it is made.')]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 1, max: 100)])]
        public array $sources,
        #[Assert\Range(min: 0.1, max: 10_000_000)] public float $grams,
    ) {
    }
}
