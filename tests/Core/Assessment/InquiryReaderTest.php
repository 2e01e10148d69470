<?php

declare(strict_types=1);

namespace App\Tests\Core\Assessment;

use App\Tests\Support\Starter;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InquiryReaderTest extends TestCase
{
    private const DOCUMENT = [
        'date' => '2027-06-14',
        'examiner' => 'instructor',
        'permission' => true,
        'observations' => [
            ['character' => 'leaf.arrangement', 'states' => ['opposite'], 'samples' => 4],
            ['character' => 'leaf.leaflet-count', 'numbers' => [5, 7, 7]],
            ['character' => 'fruit.kind', 'looked' => false],
        ],
        'claim' => ['taxon' => 'sambucus-nigra', 'part' => 'flower', 'conditions' => ['in-full-bloom' => true]],
    ];

    public function testReadsADocumentAndFillsInWhatMayBeLeftOut(): void
    {
        $inquiry = (new InquiryReader())->read(Starter::flora(), Node::root(self::DOCUMENT));
        self::assertSame('mature', $inquiry->examination->stage->value);
        self::assertSame(Starter::flora()->reference, $inquiry->place);
        self::assertSame(['fruit.kind'], $inquiry->examination->couldNotLook);
        self::assertSame([], $inquiry->seconds);
        $assessment = (new Assessor())->assess(static fn () => Starter::compiled(), $inquiry);
        self::assertSame('withheld', $assessment->clearance?->answer->value);
        self::assertNotContains('fruit.kind', array_map(static fn ($s): string => $s->character->id, $assessment->next));
    }

    public function testWithoutAClaimThereIsNoGateButThereAreDangers(): void
    {
        $document = self::DOCUMENT;
        unset($document['claim']);
        $assessment = (new Assessor())->assess(
            static fn () => Starter::compiled(),
            (new InquiryReader())->read(Starter::flora(), Node::root($document)),
        );
        self::assertNull($assessment->clearance);
        self::assertCount(9, $assessment->dangers);
    }

    /** Somebody who looks as the second person must not read the hope from the order of the looks. */
    public function testWhatIsSuggestedToACoveredExaminerDoesNotHangOnTheHope(): void
    {
        $next = [];
        foreach ([true, false] as $covered) {
            foreach (
                ['sambucus-nigra' => 'flower', 'castanea-sativa' => 'nut', 'cornus-mas' => 'fruit'] as $taxon => $part
            ) {
                $inquiry = (new InquiryReader())->read(
                    Starter::flora(),
                    Node::root(
                        [
                            'claim' => ['taxon' => $taxon, 'part' => $part],
                            'observations' => [
                                ['character' => 'flower.head', 'states' => ['flat']],
                                ['character' => 'twig.woodiness', 'states' => ['woody']],
                                ...self::DOCUMENT['observations'],
                            ],
                        ] + self::DOCUMENT,
                    ),
                );
                $inquiry = new Inquiry(
                    $inquiry->examination,
                    $inquiry->place,
                    $inquiry->decidedOn,
                    $inquiry->claim,
                    $inquiry->terms,
                    covered: $covered,
                );
                $looks = (new Assessor())->assess(static fn () => Starter::compiled(), $inquiry)->next;
                $next[(int) $covered][] = array_map(
                    static fn ($s): array => [$s->character->id, $s->worth, $s->required, $s->apart],
                    $looks,
                );
            }
        }
        self::assertNotSame($next[0][0], $next[0][1], 'who knows the hope is led by it');
        self::assertSame($next[1][0], $next[1][1]);
        self::assertSame($next[1][0], $next[1][2]);
        self::assertNotSame(
            [],
            array_filter($next[1][0], static fn (array $look): bool => $look[2]),
            'but is led, by what the tree was taken for',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no date' => [['date' => null], 'date: is missing.'];
        yield 'a day that is none' => [['date' => '2027-06-31'], 'date: "2027-06-31" is no date'];
        yield 'an unknown character' => [
            ['observations' => [['character' => 'leaf.arangement', 'states' => ['opposite']]]],
            'observations[0]: No character "leaf.arangement" in this flora; nearest: leaf.arrangement',
        ];
        yield 'an unknown state' => [
            ['observations' => [['character' => 'leaf.kind', 'states' => ['feather']]]],
            'observations[0]: No state of leaf.kind "feather"',
        ];
        yield 'neither states nor numbers' => [
            ['observations' => [['character' => 'leaf.kind']]],
            'observations[0].states: Choose at least one state',
        ];
        yield 'half a leaflet' => [
            ['observations' => [['character' => 'leaf.leaflet-count', 'numbers' => [6.5]]]],
            'observations[0].numbers: "leaf.leaflet-count" is counted',
        ];
        yield 'an unknown certainty' => [
            ['observations' => [['character' => 'leaf.kind', 'states' => ['pinnate'], 'certainty' => 'certain']]],
            'observations[0].certainty: "certain" is not known here; known: sure, likely, unsure.',
        ];
        yield 'an unknown taxon' => [
            ['claim' => ['taxon' => 'sambucus', 'part' => 'flower']],
            'claim: No taxon "sambucus"',
        ];
        yield 'an unknown part' => [
            ['claim' => ['taxon' => 'sambucus-nigra', 'part' => 'root']],
            'claim: No part of Sambucus nigra "root"',
        ];
        yield 'an unknown condition' => [
            ['claim' => ['taxon' => 'sambucus-nigra', 'part' => 'flower', 'conditions' => ['in-bloom' => true]]],
            'claim.conditions.in-bloom: No condition of this part "in-bloom"',
        ];
        yield 'a latitude off the Earth' => [
            ['place' => ['latitude' => 147, 'longitude' => 15, 'altitude_m' => 1]],
            'place.latitude: must lie between -90 and 90; it is 147.',
        ];
        yield 'a key nobody knows' => [['observation' => []], 'observation: is not known here'];
        yield 'no list' => [['observations' => 'none'], 'observations: must be a list.'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('faults')]
    public function testRefusesByPathAndReason(array $change, string $message): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($message, '/').'/');
        (new InquiryReader())->read(Starter::flora(), Node::root($change + self::DOCUMENT));
    }
}
