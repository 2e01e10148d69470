<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Batches\RecallOf;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** All that came of something is to be called back. */
final readonly class NewRecall
{
    /**
     * @param RecallOf $what    what is doubted
     * @param string   $about   id of the tree, decision, person or batch; or "taxon/part"
     * @param string   $because why, in words
     */
    public function __construct(
        public RecallOf $what,
        #[Assert\NotBlank] #[Assert\Length(max: 160)] public string $about,
        #[Assert\NotBlank(message: 'Say why.', normalizer: 'trim')]
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $because,
    ) {
    }
}
