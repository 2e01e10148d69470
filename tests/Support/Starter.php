<?php

declare(strict_types=1);

namespace App\Tests\Support;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraFolder;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\State;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;

/** A small flora of fourteen taxa, and a short way to score trees against it. */
final class Starter
{
    private static ?FloraDocument $document = null;
    private static ?Flora $flora = null;
    private static ?CompiledFlora $compiled = null;

    /** What an elder in June shows: all that is required for its flowers. */
    public const ELDER = [
        'leaf.arrangement' => ['opposite', 4],
        'leaf.kind' => ['pinnate', 3],
        'leaf.leaflet-count' => [[5, 7, 5]],
        'leaf.stipules' => ['none', 3],
        'twig.woodiness' => ['woody', 2],
        'twig.pith' => ['white-wide', 1],
        'flower.head' => ['flat', 4],
        'flower.anthers' => ['yellow', 4],
        'scent.crushed' => ['rank', 2],
    ];
    /** The same against the shipped flora, with the look that parts it from tree of heaven. */
    public const ELDER_AS_SHIPPED =
        [
            'leaf.margin' => ['saw-teeth', 3],
            'leaf.teeth' => ['fine', 3],
            'twig.pith' => ['wide', 1],
            'twig.pith-colour' => ['white', 1],
        ] + self::ELDER;
    public const FIR = [
        'leaf.kind' => ['needle', 4],
        'leaf.bands' => ['two-white', 5],
        'leaf.needle-tip' => ['notched', 4],
        'twig.needle-scar' => ['round', 4],
        'twig.hairs' => ['hairy', 2],
        'bud.shape' => ['egg', 2],
        'scent.crushed' => ['resin', 2],
    ];
    /** The same against the shipped flora, which asks for the arrangement as well. */
    public const FIR_AS_SHIPPED = ['leaf.arrangement' => ['alternate', 3]] + self::FIR;
    public const YEW = [
        'leaf.kind' => ['needle', 4],
        'leaf.bands' => ['pale-green', 5],
        'leaf.needle-tip' => ['soft-point', 4],
        'twig.needle-scar' => ['running-down', 3],
        'scent.crushed' => ['faint', 2],
    ];

    public static function flora(): Flora
    {
        return self::$flora ??= (new FloraReader())->read(self::document());
    }

    /**
     * The starter flora with something changed in its document.
     *
     * @param array<string, mixed> $changes path in the document, taxa by their id, such as
     *                                      `taxa/cornus-mas/parts/fruit/window` → new value
     *
     * @throws \Hylognosis\Document\DocumentError if the changed document cannot be taken
     */
    public static function changed(array $changes): Flora
    {
        $content = self::document()->content;
        $content['taxa'] = self::taxonDocuments();
        foreach ($changes as $path => $value) {
            $content = self::set($content, explode('/', $path), $value);
        }
        \assert(\is_array($content['taxa']));
        $content['taxa'] = array_values($content['taxa']);
        $named = [];
        foreach ($content as $key => $value) {
            $named[(string) $key] = $value;
        }

        return (new FloraReader())->read(new FloraDocument($named));
    }

    /** @return array<string, array<mixed>> by id */
    public static function taxonDocuments(): array
    {
        $taxa = self::document()->content['taxa'];
        \assert(\is_array($taxa));
        $byId = [];
        foreach ($taxa as $taxon) {
            \assert(\is_array($taxon) && \is_string($taxon['id']));
            $byId[$taxon['id']] = $taxon;
        }

        return $byId;
    }

    public static function document(): FloraDocument
    {
        return self::$document ??= FloraFolder::open(__DIR__.'/starter-flora')->document;
    }

    /**
     * @param array<mixed>           $in
     * @param non-empty-list<string> $path
     *
     * @return array<mixed>
     */
    private static function set(array $in, array $path, mixed $value): array
    {
        $key = array_shift($path);
        if ([] !== $path) {
            $deeper = $in[$key] ?? [];
            \assert(\is_array($deeper));
            $value = self::set($deeper, $path, $value);
        }
        $in[$key] = $value;

        return array_filter($in, static fn (mixed $v): bool => null !== $v);
    }

    public static function compiled(): CompiledFlora
    {
        return self::$compiled ??= CompiledFlora::of(self::flora(), LifeStage::Mature);
    }

    /** @param string|list<int|float> $value a state, or numbers */
    public static function observe(
        string $character,
        string|array $value,
        int $samples = 1,
        Certainty $certainty = Certainty::Sure,
        Whereabouts $where = Whereabouts::Tree,
    ): Observation {
        $found = self::flora()->character($character);
        if (\is_string($value)) {
            return Observation::ofStates($found, [$value], $certainty, $samples, $where);
        }
        $numbers = array_map(static fn (int|float $n): float => (float) $n, $value);
        \assert([] !== $numbers);

        return Observation::ofNumbers($found, $numbers, $certainty, $where);
    }

    /**
     * @param array<string, array{0: string|list<int|float>, 1?: int, 2?: Certainty, 3?: Whereabouts}> $scores
     *
     * @return list<Observation>
     */
    public static function observations(array $scores): array
    {
        $observations = [];
        foreach ($scores as $character => $score) {
            $observations[] = self::observe(
                $character,
                $score[0],
                $score[1] ?? 1,
                $score[2] ?? Certainty::Sure,
                $score[3] ?? Whereabouts::Tree,
            );
        }

        return $observations;
    }

    /** The same again, looked at once more: another act, recorded as such. */
    public static function further(Observation $observation): Observation
    {
        return self::as($observation, new Look(true));
    }

    public static function takenBack(Observation $observation): Observation
    {
        return self::as($observation, new Look(takenBack: true));
    }

    private static function as(Observation $o, Look $look): Observation
    {
        return [] !== $o->numbers
            ? Observation::ofNumbers($o->character, $o->numbers, $o->certainty, $o->where, $o->position, $look)
            : Observation::ofStates(
                $o->character,
                [] === $o->states ? throw new \LogicException('No state.') : $o->states,
                $o->certainty,
                $o->samples,
                $o->where,
                $o->position,
                $o->either,
                $look,
            );
    }

    /**
     * The same seen by somebody else, on a twig more.
     *
     * @param list<Observation> $observations
     *
     * @return list<Observation>
     */
    public static function byOtherEyes(array $observations): array
    {
        return array_map(
            static fn (Observation $o): Observation => [] === $o->states
                ? $o
                : Observation::ofStates(
                    $o->character,
                    $o->states,
                    $o->certainty,
                    $o->samples + 1,
                    $o->where,
                    $o->position,
                    $o->either,
                    $o->look,
                ),
            $observations,
        );
    }

    /** @param list<Observation> $observations */
    public static function examination(
        array $observations,
        string $date = '2027-06-14',
        ExaminerRole $examiner = ExaminerRole::Instructor,
    ): Examination {
        return Examination::of(new \DateTimeImmutable($date), LifeStage::Mature, $examiner, $observations);
    }

    /** @param list<Observation> $observations */
    public static function identify(array $observations): Identification
    {
        return (new Identifier())->identify(self::compiled(), self::examination($observations));
    }

    private static ?Flora $shipped = null;

    private static function shipped(): Flora
    {
        return self::$shipped ??= (new FloraReader())->read(
            FloraFolder::open(\dirname(__DIR__, 2).'/flora/central-european-hills')->document,
        );
    }

    /** @return list<string> common names of what harms in the flora of the demo, but for the elder itself */
    public static function shippedNames(): array
    {
        return array_values(
            array_map(
                static fn (Taxon $taxon): string => $taxon->commonName(),
                array_filter(
                    self::shipped()->dangerous(),
                    static fn (Taxon $taxon): bool => 'sambucus-nigra' !== $taxon->id
                        && !\in_array($taxon->commonName(), ['dwarf elder', 'red elder'], true),
                ),
            ),
        );
    }

    /** @return array<string, array<string, string>> character → state → what it is called */
    public static function labels(): array
    {
        return array_map(
            static fn (Character $character): array => array_map(
                static fn (State $state): string => $state->label,
                $character->states,
            ),
            self::shipped()->characters,
        );
    }
}
