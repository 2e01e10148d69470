<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Trees\Sex;
use App\Web\Input\PlainText;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Validator\Constraints as Assert;

/** What is told of a harvest, when it is logged and when it is corrected. */
#[ORM\Embeddable]
final readonly class Taken
{
    /**
     * @param float      $amount    more than 0, in the unit given
     * @param AmountUnit $unit      unit of measure
     * @param string     $ripeness  how ripe, in words
     * @param int        $shareLeft per cent left on the tree, 0 to 100
     * @param string     $note      what the next person should know
     * @param int|null   $minutes   somebody's time at it; null where nobody looked at the clock
     * @param int        $opened    how many were looked at, one by one
     * @param int        $sound     how many of them were sound
     * @param CountBy    $countBy   how they were told
     * @param Sex        $sex       which flowers the tree bears, where one could see
     * @param bool|null  $lone      no other of its kind is in sight; null where nobody looked about
     * @param bool       $sure      so much, or so little left, was asked about and said once more
     */
    public function __construct(
        #[ORM\Column]
        #[Assert\Positive(message: 'Say how much was taken.')]
        #[Assert\LessThanOrEqual(100_000, message: 'That is more than anybody carries home; choose a larger unit.')]
        public float $amount,
        #[ORM\Column(length: 12)] public AmountUnit $unit,
        #[ORM\Column(length: 200)] #[Assert\Length(max: 200)] #[PlainText] public string $ripeness = '',
        #[ORM\Column]
        #[Assert\Range(min: 0, max: 100, notInRangeMessage: 'The share left lies between 0 and 100 percent.')]
        public int $shareLeft = 70,
        #[ORM\Column(length: 1000)] #[Assert\Length(max: 1000)] #[PlainText] public string $note = '',
        #[ORM\Column(nullable: true)] #[Assert\Range(min: 1, max: 10_000)] public ?int $minutes = null,
        #[ORM\Column(options: ['default' => 0])] #[Assert\Range(min: 0, max: 10_000)] public int $opened = 0,
        #[ORM\Column(options: ['default' => 0])]
        #[Assert\Range(min: 0, max: 10_000)]
        #[Assert\LessThanOrEqual(propertyPath: 'opened', message: 'More were sound than were looked at.')]
        public int $sound = 0,
        #[ORM\Column(length: 8, options: ['default' => ''])] public CountBy $countBy = CountBy::Nobody,
        #[ORM\Column(length: 8, options: ['default' => ''])] public Sex $sex = Sex::Unknown,
        #[ORM\Column(nullable: true)] public ?bool $lone = null,
        #[ORM\Column(options: ['default' => false])] public bool $sure = false,
    ) {
    }

    /** @return array<string, mixed> what stands there, to be kept when it is corrected */
    public function stood(): array
    {
        return [
            'amount' => $this->amount,
            'unit' => $this->unit->value,
            'ripeness' => $this->ripeness,
            'share_left' => $this->shareLeft,
            'note' => $this->note,
            'minutes' => $this->minutes,
            'opened' => $this->opened,
            'sound' => $this->sound,
            'count_by' => $this->countBy->value,
            'sex' => $this->sex->value,
            'lone' => $this->lone,
            'sure' => $this->sure,
        ];
    }
}
