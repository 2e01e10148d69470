<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use App\Tests\Support\Dossiers;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\NoContradiction;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\Candidate;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identifier;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Trees as practitioners describe them: planted, open-grown, with bark of two ages. None of it may read as a
 * contradiction.
 */
final class AccountsTest extends TestCase
{
    /** @return iterable<string, list<string>> */
    public static function accounts(): iterable
    {
        foreach (Described::rows('accounts.tsv') as $row) {
            yield $row[0].' '.explode(' ', $row[4])[0] => $row;
        }
    }

    #[DataProvider('accounts')]
    public function testTheRightKindIsAmongTheTwoThatLeadAndIsNotContradicted(
        string $number,
        string $letter,
        string $day,
        string $stage,
        string $kinds,
        string $seen,
    ): void {
        $flora = Floras::get($letter);
        $date = new \DateTimeImmutable('2027-'.$day);
        $compiled = CompiledFlora::of($flora, LifeStage::from($stage));
        $identification = (new Identifier())->identify(
            $compiled,
            Examination::of(
                $date,
                LifeStage::from($stage),
                ExaminerRole::Instructor,
                Described::observations($flora, $seen),
            ),
        );
        $leaders = array_map(
            static fn (Candidate $c): string => $c->taxon,
            \array_slice($identification->ranking(), 0, 2),
        );
        self::assertNotSame(
            [],
            array_intersect(explode(' ', $kinds), $leaders),
            $number.': '.implode(', ', $leaders),
        );
        $taxon = $flora->taxon(explode(' ', $kinds)[0]);
        $part = array_values($taxon->parts)[0] ?? null;
        if (null !== $part) {
            $dossier = new Dossier(
                new Claim($taxon, $part, []),
                $identification,
                Phenology::at($flora, $flora->reference),
                new PlaceTerms(true),
                $date,
            );
            $report = (new NoContradiction())->judge($dossier);
            self::assertNotSame(
                PointStatus::Broken,
                $report->status,
                implode(
                    ' ',
                    array_map(
                        static fn ($item): string => $item->subject.': '.Dossiers::words($item->detail, $flora),
                        $report->items,
                    ),
                ),
            );
        }
    }
}
