<?php

declare(strict_types=1);

namespace App\Pictures\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What a picture is of: one of these. */
final readonly class NewPicture
{
    /**
     * @param string      $tree       id of a tree
     * @param string      $score      id of a score it is evidence of
     * @param string      $examination id of an examination under way it belongs to
     * @param string      $harvest    id of a harvest it shows
     * @param string      $batch      id of something that is made, which it shows
     * @param string      $permission id of what an owner said, of which it is the paper
     * @param string      $sign       id of a sign of illness that was told of, which it shows
     * @param string      $caption    what it shows
     * @param string|null $takenOn    day, YYYY-MM-DD; null: today
     */
    public function __construct(
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $tree = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $score = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $examination = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $harvest = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $batch = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $permission = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])] public string $sign = '',
        #[Assert\Length(max: 300)] #[PlainText] public string $caption = '',
        #[Day] public ?string $takenOn = null,
    ) {
    }
}
