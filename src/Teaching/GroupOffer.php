<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Hazards\DaySheet;
use App\Hazards\View\DayTreeView;
use App\Learning\LearnerReadingRepository;
use App\Library\FloraLibrary;
use App\Teaching\View\GroupOfferView;
use App\Teaching\View\OfferedTreeView;
use App\Teaching\View\StationLookView;
use App\Trees\HeldKinds;
use App\Trees\Site;
use App\Trees\SpecimenRepository;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\Taxon;
use Hylognosis\Learning\Confusions;
use Hylognosis\Learning\Reading;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** Which trees of a place can be used for which look on a day, and which must not be touched. */
final readonly class GroupOffer
{
    private const LOOKS = 6;
    /** A tree of which fewer in a hundred of its kind show the same is no good example. */
    private const PLAIN = 0.8;
    private const LEEWAY_DAYS = 0;
    /** So often misread, a look is marked as one the group needs. */
    private const OFTEN = 0.12;

    public function __construct(
        private DaySheet $sheet,
        private HeldKinds $kinds,
        private SpecimenRepository $specimens,
        private LearnerReadingRepository $readings,
        private FloraLibrary $library,
    ) {
    }

    /** @param list<User> $people who comes along */
    public function of(Site $site, \DateTimeImmutable $day, array $people, User $reader): GroupOfferView
    {
        $flora = $this->library->flora($reader->flora);
        $confused = $this->confusedBy($flora, $people);
        $hidden = $this->kinds->hiddenFrom($reader);
        $trees = $handsOff = [];
        foreach ($this->sheet->of($site, $day, [], $reader)->trees as $listed) {
            if (!$listed->mayTouch) {
                $handsOff[] = $listed->label;
            }
            $tree = $listed->isStand ? null : $this->specimens->find($listed->id);
            if (null === $tree) {
                continue;
            }
            $kind = $tree->kindFlora === $flora->name ? $this->kinds->ofTree($tree, $hidden)[0] ?? null : null;
            $looks = null === $kind
                ? []
                : $this->looks($flora, Phenology::at($flora, $site->place()), $kind, DayOfYear::on($day), $confused);
            $trees[] = new OfferedTreeView(
                $tree->id,
                $tree->tag,
                $tree->whereabouts,
                $listed->kind,
                $listed->mayTouch,
                $listed->danger,
                $looks,
            );
        }
        usort(
            $trees,
            static fn (OfferedTreeView $a, OfferedTreeView $b): int => [
                $b->mayTouch,
                [] !== $b->looks,
                $a->tag,
            ] <=> [$a->mayTouch, [] !== $a->looks, $b->tag],
        );

        return new GroupOfferView($trees, $handsOff);
    }

    /** @return list<string> what must not be touched there */
    public function handsOff(Site $site, \DateTimeImmutable $day, User $reader): array
    {
        return array_values(
            array_map(
                static fn (DayTreeView $tree): string => $tree->label,
                array_filter(
                    $this->sheet->of($site, $day, [], $reader)->trees,
                    static fn (DayTreeView $tree): bool => !$tree->mayTouch,
                ),
            ),
        );
    }

    /**
     * How often these people misread what, over the flora's rates; only what at least one of them has misread.
     *
     * @param list<User> $people
     *
     * @return array<string, float> character → 0 to 1, the most misread first
     */
    public function confusedBy(Flora $flora, array $people): array
    {
        $by = [];
        foreach ($people as $person) {
            foreach ($this->readings->of($person) as $reading) {
                if ($reading->flora === $flora->name && isset($flora->characters[$reading->trait])) {
                    $by[$reading->trait][] = $reading->reading();
                }
            }
        }
        $confused = [];
        foreach ($by as $id => $readings) {
            $character = $flora->characters[$id];
            $wrong = array_filter($readings, static fn (Reading $r): bool => !$r->isRight($character));
            if ([] !== $wrong && !$character->isNumeric()) {
                $confused[$id] = Confusions::of($character, $readings)->misread();
            }
        }
        arsort($confused);

        return $confused;
    }

    /**
     * @param array<string, float> $confused
     *
     * @return list<StationLookView>
     */
    private function looks(Flora $flora, Phenology $phenology, Taxon $kind, DayOfYear $day, array $confused): array
    {
        $worth = [];
        foreach ($flora->characters as $character) {
            $usual = $kind->description->frequencies($character->id) ?? [];
            if (
                \count($character->states) > 1
                && Reach::Cut !== $character->sight->reach
                && [] !== $usual
                && max($usual) >= self::PLAIN
                && $phenology->canShow($kind, $character, $day, self::LEEWAY_DAYS)
            ) {
                $worth[$character->id] = ($confused[$character->id] ?? 0.0) + 0.1 * $character->legibility->misreading;
            }
        }
        arsort($worth);
        $looks = [];
        foreach (array_keys(\array_slice($worth, 0, self::LOOKS)) as $id) {
            $character = $flora->character($id);
            $looks[] = new StationLookView(
                $id,
                $character->label,
                $character->question,
                $character->hint,
                ($confused[$id] ?? 0.0) >= self::OFTEN,
            );
        }

        return $looks;
    }
}
