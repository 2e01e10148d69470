<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A station of a day with a group: a look at a tree, or an activity. */
final readonly class StationInput
{
    /**
     * @param string      $id        made by whoever plans it
     * @param string|null $tree      id of a tree; null: anywhere
     * @param string      $character what is looked at; empty where it is an activity
     * @param string      $activity  what is done; empty where it is a look
     * @param string      $note      for whoever leads
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id = '',
        #[Assert\Uuid] public ?string $tree = null,
        #[Assert\Length(max: 60)] public string $character = '',
        #[Assert\Length(max: 40)] public string $activity = '',
        #[Assert\Length(max: 300)] #[PlainText] public string $note = '',
    ) {
    }
}
