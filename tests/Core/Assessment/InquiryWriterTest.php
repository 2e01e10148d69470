<?php

declare(strict_types=1);

namespace App\Tests\Core\Assessment;

use App\Tests\Support\Starter;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Assessment\InquiryWriter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Reach;
use Hylognosis\Identification\CompiledFlora;
use PHPUnit\Framework\TestCase;

/** What was told to the engine can be told again, and gives the same answer. */
final class InquiryWriterTest extends TestCase
{
    private const DOCUMENT = '{"flora": "starter", "date": "2027-06-14", "examiner": "instructor", "by": "Marta",
        "observations": [
            {"character": "leaf.arrangement", "states": ["opposite"], "samples": 4, "at": "2027-06-14T10:00:00+02:00"},
            {"character": "leaf.arrangement", "states": ["alternate"], "taken_back": true, "further": true, "at": "2027-06-14T10:05:00+02:00"},
            {"character": "leaf.leaflet-count", "numbers": [5, 7, 7], "certainty": "likely"},
            {"character": "fruit.kind", "answer": "cannot-be-seen"}],
        "claim": {"taxon": "sambucus-nigra", "part": "flower", "conditions": {"in-full-bloom": true}, "answered_on": {"in-full-bloom": "2027-06-13"}},
        "seconds": [{"examiner": "learner", "by": "Ida", "date": "2027-06-12", "blind": true, "reconsidered": true,
            "observations": [{"character": "leaf.arrangement", "states": ["opposite"], "where": "ground"}]}]}';

    public function testEverythingComesBackAndTheAnswerIsTheSame(): void
    {
        $flora = Starter::flora();
        $read = $this->read($flora, (array) json_decode(self::DOCUMENT, true));
        $told = new Inquiry(
            $read->examination,
            $read->place,
            $read->decidedOn,
            $read->claim,
            new PlaceTerms(
                true,
                new \DateTimeImmutable('2027-12-31'),
                ['ilex-aquifolium'],
                ['sambucus-nigra' => new Quota(3, 2)],
                false,
            ),
            $read->seconds,
            [Reach::Ground],
            [Instrument::None, Instrument::Knife],
            'Marta',
        );
        $written = (new InquiryWriter())->write('starter', $told);
        $again = $this->read($flora, (array) json_decode((string) json_encode($written), true));
        self::assertEquals($told->terms, $again->terms);
        self::assertEquals($told->reach, $again->reach);
        self::assertEquals($told->kit, $again->kit);
        self::assertEquals($told->examination, $again->examination);
        self::assertEquals($told->seconds, $again->seconds);
        self::assertInstanceOf(Claim::class, $again->claim);
        self::assertEquals($told->claim?->confirmed, $again->claim->confirmed);
        self::assertSame($written, (new InquiryWriter())->write('starter', $again), 'written once more it is the same');
        self::assertEquals($this->answer($flora, $told)->clearance, $this->answer($flora, $again)->clearance);
    }

    public function testTermsAndPermissionAreNotSaidBoth(): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('terms: stands beside "permission"; say it once.');
        $this->read(
            Starter::flora(),
            ['permission' => true, 'terms' => []] + (array) json_decode(self::DOCUMENT, true),
        );
    }

    /** @param array<mixed> $document */
    private function read(Flora $flora, array $document): Inquiry
    {
        return (new InquiryReader())->read($flora, Node::root($document));
    }

    private function answer(Flora $flora, Inquiry $inquiry): Assessment
    {
        return (new Assessor())->assess(
            static fn (LifeStage $stage): CompiledFlora => CompiledFlora::of($flora, $stage),
            $inquiry,
        );
    }
}
