<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\View\CardPlateView;
use App\Learning\View\CardView;
use App\Learning\View\QuizQuestionView;
use App\Library\FloraLibrary;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\UnknownEntry;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes decks of cards and quizzes for the printer. The same seed makes the same. */
final readonly class CardPress
{
    private const MOST_LINES = 4;
    /** Two organs at most of the same two: a deck is for the pocket. */
    private const MOST_OF_A_PAIR = 2;
    public const QUESTIONS = 12;
    /** What one looks at first on a twig in winter. */
    private const TELLING_OF_A_TWIG = [
        'leaf.arrangement', 'bud.scales', 'bud.colour', 'bud.shape', 'bud.stance', 'bud.stalk', 'twig.pith',
        'twig.spines', 'twig.colour', 'twig.leaf-scar', 'twig.traces',
    ];

    public function __construct(private DrillDeck $deck, private FloraLibrary $library)
    {
    }

    /**
     * Two that are taken for each other on a card, side by side.
     *
     * @param string $taxon only of this kind; empty: of all that have a dangerous look-alike
     *
     * @return list<CardView>
     *
     * @throws UnknownEntry if there is no such kind
     */
    public function pairs(string $flora, string $taxon, int $seed): array
    {
        $compiled = $this->library->compiled($flora, LifeStage::Mature);
        $taxa = $compiled->flora->taxa;
        if ('' !== $taxon) {
            $compiled->flora->taxon($taxon);
        }
        $random = new Randomizer(new Mt19937($seed));
        $cards = [];
        foreach ($this->deck->cards($flora, DrillKind::Pair) as $card) {
            [, $first, $second] = explode('/', $card);
            [$one, $other] = [$taxa[$first], $taxa[$second]];
            $isMeant = '' === $taxon
                ? $one->severity()->isHazard() || $other->severity()->isHazard()
                : \in_array($taxon, [$first, $second], true);
            if (!$isMeant) {
                continue;
            }
            // which of the two stands left must not tell
            [$one, $other] = 0 === $random->getInt(0, 1) ? [$one, $other] : [$other, $one];
            $made = 0;
            foreach ($this->deck->partedBy($compiled->flora, $one, $other) as $organ => $lines) {
                $plates = [];
                foreach ([$one, $other] as $i => $kind) {
                    $shows = $this->deck->plate($compiled, $kind, $organ, $seed + $i);
                    if (null !== $shows) {
                        $plates[] = new CardPlateView('AB'[$i], $shows);
                    }
                }
                if (2 !== \count($plates) || $made >= self::MOST_OF_A_PAIR) {
                    continue;
                }
                ++$made;
                $cards[] = new CardView(
                    \sprintf('Which is %s?', self::harmlessFirst($one, $other)->commonName()),
                    $organ,
                    $plates,
                    \sprintf('A %s, B %s', $one->commonName(), $other->commonName()),
                    [
                        ...array_map(
                            static fn (string $line): string => str_replace(
                                [' here,', ' there'],
                                [' on A,', ' on B'],
                                $line,
                            ),
                            \array_slice($lines, 0, self::MOST_LINES),
                        ),
                        ...self::harm($one),
                        ...self::harm($other),
                    ],
                );
            }
        }

        return $cards;
    }

    /** @return list<CardView> a twig in winter on a card */
    public function twigs(string $flora, int $seed): array
    {
        $compiled = $this->library->compiled($flora, LifeStage::Mature);
        $cards = [];
        foreach ($this->deck->cards($flora, DrillKind::Twigs) as $card) {
            $taxon = $compiled->flora->taxa[explode('/', $card)[1]];
            $shows = $this->deck->plate($compiled, $taxon, 'twig', $seed);
            if (null === $shows) {
                continue;
            }
            $lines = [];
            foreach (self::TELLING_OF_A_TWIG as $id) {
                array_push($lines, ...self::usually($compiled->flora, $taxon, $id));
            }
            $cards[] = new CardView(
                'Whose twig is this?',
                'twig',
                [new CardPlateView('', $shows)],
                $taxon->commonName().', '.$taxon->name,
                [...\array_slice($lines, 0, self::MOST_LINES + 1), ...self::harm($taxon)],
            );
        }

        return $cards;
    }

    /** @return list<QuizQuestionView> */
    public function quiz(string $flora, int $seed, ?DrillKind $kind): array
    {
        $random = new Randomizer(new Mt19937($seed));
        // by ear it is told, not printed
        $kinds = null === $kind
            ? array_values(array_filter(DrillKind::cases(), static fn (DrillKind $k): bool => DrillKind::Ear !== $k))
            : [$kind];
        $decks = array_map(fn (DrillKind $k): array => $this->deck->cards($flora, $k), $kinds);
        $questions = $asked = [];
        for ($try = 0; \count($questions) < self::QUESTIONS && $try < 40 * self::QUESTIONS; ++$try) {
            $deck = $decks[\count($questions) % \count($decks)];
            if ([] === $deck) {
                break;
            }
            $card = $deck[$random->getInt(0, \count($deck) - 1)];
            $item = isset($asked[$card]) ? null : $this->deck->item($flora, $card, $random->getInt(0, 2_000_000_000));
            if (null === $item) {
                continue;
            }
            $asked[$card] = true;
            $answer = trim($item->answer.' '.$item->view->unit);
            foreach ($item->view->choices as $i => $choice) {
                if ($choice->id === $item->answer) {
                    $answer = \chr(97 + $i).' '.$choice->label;
                }
            }
            $questions[] = new QuizQuestionView($item->view, $answer, $item->why);
        }

        return $questions;
    }

    /** @return list<string> what a kind nearly always shows, in a line; none where it varies, or has none */
    private static function usually(Flora $flora, Taxon $taxon, string $id): array
    {
        $usual = $taxon->description->frequencies($id) ?? [];
        arsort($usual);
        $state = array_key_first($usual);

        return null === $state || $usual[$state] < 0.8 || 'none' === $state
            ? []
            : [$flora->character($id)->label.': '.$flora->character($id)->state((string) $state)->label];
    }

    private static function harmlessFirst(Taxon $one, Taxon $other): Taxon
    {
        return $one->severity()->rank() <= $other->severity()->rank() ? $one : $other;
    }

    /** @return list<string> what a kind does to people, in a line; none where nothing is on record of it */
    private static function harm(Taxon $taxon): array
    {
        return $taxon->severity()->isHazard()
            ? [\sprintf('%s: %s', $taxon->commonName(), $taxon->severity()->value)]
            : [];
    }
}
