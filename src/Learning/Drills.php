<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use Hylognosis\Learning\Confusions;
use Hylognosis\Learning\WhatToAsk;
use Random\Randomizer;

/** Which questions somebody is asked: what is due again, and new ones that this person confuses. */
final readonly class Drills
{
    /** Two minutes. Common practice: ten seconds to a question. */
    public const ITEMS = 12;
    /** New cards looked through for those most confused; more gain nothing. */
    private const LOOKED_THROUGH = 400;
    private const LOTS = 2_000_000_000;

    public function __construct(
        private DrillDeck $deck,
        private DrillCardRepository $cards,
        private LearnerReadingRepository $readings,
        private PracticeAnswerRepository $answers,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    /** @return list<DrillItem> */
    public function next(User $user, ?DrillKind $kind): array
    {
        $kinds = null === $kind ? DrillKind::cases() : [$kind];
        $names = array_map(static fn (DrillKind $k): string => $k->value, $kinds);
        $known = array_filter(
            $this->cards->of($user),
            static fn (DrillCard $c): bool => \in_array(explode('/', $c->card)[0], $names, true),
        );
        $today = $this->clock->today();
        $due = array_map(
            static fn (DrillCard $c): float => $c->ease,
            array_filter($known, static fn (DrillCard $c): bool => $c->dueOn <= $today),
        );
        // some more than are asked: of what a flora does not describe well enough no question can be made
        $wanted = WhatToAsk::of($due, $this->fresh($user, $kinds, $known), 2 * self::ITEMS);
        $items = [];
        foreach ($wanted as $card) {
            $item = $this->deck->item($user->flora, $card, random_int(0, self::LOTS));
            if (null !== $item) {
                $items[] = $item;
            }
            if (\count($items) >= self::ITEMS) {
                break;
            }
        }

        return $items;
    }

    /**
     * @param non-empty-list<DrillKind> $kinds
     * @param array<string, DrillCard>  $known
     *
     * @return array<string, float> card never asked → how much it is confused
     */
    private function fresh(User $user, array $kinds, array $known): array
    {
        $weights = [];
        $confused = $this->confused($user);
        $random = new Randomizer();
        foreach ($kinds as $kind) {
            $cards = array_values(array_diff($this->deck->cards($user->flora, $kind), array_keys($known)));
            foreach (\array_slice($random->shuffleArray($cards), 0, self::LOOKED_THROUGH) as $card) {
                $weights[(string) $card] = ($confused[(string) $card] ?? 0.0) + 0.01 * $random->getInt(0, 100) / 100;
            }
        }

        return $weights;
    }

    /** @return array<string, float> card → how much it is confused, by own readings over the flora's rates */
    private function confused(User $user): array
    {
        $flora = $this->library->flora($user->flora);
        $readings = [];
        foreach ($this->readings->of($user) as $reading) {
            if ($reading->flora === $user->flora) {
                $readings[$reading->trait][] = $reading->reading();
            }
        }
        $weights = [];
        foreach ($flora->characters as $character) {
            if ($character->isNumeric()) {
                continue;
            }
            $confusions = Confusions::of($character, $readings[$character->id] ?? []);
            foreach (array_keys($character->states) as $state) {
                $weights['states/'.$character->id.'/'.$state] =
                    1 - $confusions->share((string) $state, (string) $state)->mean();
            }
        }
        foreach ($this->answers->of($user) as $answer) {
            if ('' !== $answer->said && $answer->said !== $answer->taxon) {
                $pair = 'pair/'.min($answer->said, $answer->taxon).'/'.max($answer->said, $answer->taxon);
                $weights[$pair] = ($weights[$pair] ?? 0.0) + 0.5;
            }
        }

        return $weights;
    }
}
