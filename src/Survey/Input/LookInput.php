<?php

declare(strict_types=1);

namespace App\Survey\Input;

use App\Web\Input\PlainText;
use Hylognosis\Survey\Gap;
use Hylognosis\Survey\SeenMark;
use Symfony\Component\Validator\Constraints as Assert;

/** What was seen of one tree, or of one stand, on a walk. */
final readonly class LookInput
{
    /**
     * @param string       $tree  id of the tree or of the stand
     * @param string       $of    a kind or a group of the flora one works with, by a short look; empty: none
     * @param Gap|null     $gap   why it stays open
     * @param list<string> $marks what was seen, words of SeenMark
     * @param string       $note  what else is to be said; may be empty
     */
    public function __construct(
        #[Assert\Uuid(message: 'A tree or a stand is wanted.')]
        public string $tree,
        #[Assert\Length(max: 80)]
        public string $of = '',
        public ?Gap $gap = null,
        #[Assert\Count(max: 19)]
        #[Assert\All([new Assert\NotNull(), new Assert\Choice(callback: [self::class, 'marks'])])]
        public array $marks = [],
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $note = '',
    ) {
    }

    /** @return list<string> */
    public static function marks(): array
    {
        return array_map(static fn (SeenMark $m): string => $m->value, SeenMark::cases());
    }
}
