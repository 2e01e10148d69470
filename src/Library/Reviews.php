<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\ReviewVerdict;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;

/**
 * What people have said of the stated nevers of a flora: kept in the database, laid over its document, printed and
 * taken back as a sheet.
 */
final readonly class Reviews
{
    public function __construct(private NeverReviewRepository $reviews)
    {
    }

    /** Changes whenever something is said of the flora. */
    public function fingerprint(string $flora): string
    {
        return $this->reviews->fingerprint($flora);
    }

    /** The document with the reviews beside the statements they read; one of another wording is left out. */
    public function laidOver(string $flora, FloraDocument $document): FloraDocument
    {
        $reviews = [];
        foreach ($this->reviews->ofFlora($flora) as $review) {
            $reviews[$review->taxon][$review->line][] = $review;
        }
        $content = $document->content;
        if ([] !== $reviews && \is_array($content['taxa'] ?? null)) {
            $content['taxa'] = array_map(
                static fn (mixed $taxon): mixed => \is_array($taxon) ? self::reviewed($taxon, $reviews) : $taxon,
                $content['taxa'],
            );
        }

        return new FloraDocument($content);
    }

    /**
     * @param array<mixed>                                     $taxon
     * @param array<string, array<string, list<NeverReview>>> $reviews by taxon and line
     *
     * @return array<mixed>
     */
    private static function reviewed(array $taxon, array $reviews): array
    {
        $own = \is_string($taxon['id'] ?? null) ? $reviews[$taxon['id']] ?? [] : [];
        if ([] !== $own && \is_array($taxon['never'] ?? null)) {
            $taxon['never'] = array_map(static function (mixed $never) use ($own): mixed {
                if (\is_array($never) && \is_array($never['reviews'] ?? null) && \is_string($never['id'] ?? null)) {
                    $never['reviews'] = [...$never['reviews'], ...self::told($never, $own[$never['id']] ?? [])];
                }

                return $never;
            }, $taxon['never']);
        }

        return $taxon;
    }

    /** The sheet of what dangerous kinds never show, to be ticked by somebody who knows them. */
    public function sheet(Flora $flora, ?string $only): string
    {
        $lines = [
            \sprintf('# What they never show: %s, edition %s', $flora->title, $flora->edition),
            '',
            'Read each line slowly. Is it true at every age, in every season, at every height on the tree, of '.
                'both sexes and of every garden form?',
            'Who has seen it otherwise? Put [x] where you agree and [!] where you doubt, with a note behind it; '.
                'leave [ ] where you cannot say.',
            'Take it back with: bin/console hylognosis:flora review '.$flora->name.' --take=FILE --by="Your name"',
            '',
        ];
        foreach ($flora->taxa as $taxon) {
            if ([] !== $taxon->nevers && !$taxon->isHybrid() && (null === $only || $only === $taxon->id)) {
                array_push(
                    $lines,
                    \sprintf('## %s (%s), %s', ucfirst($taxon->commonName()), $taxon->name, $taxon->severity()->value),
                    '',
                    ...array_values(
                        array_map(
                            static fn (StatedNever $never): string => self::line($flora, $taxon, $never),
                            $taxon->nevers,
                        ),
                    ),
                    ...[''],
                );
            }
        }

        return implode("\n", $lines);
    }

    /**
     * Reads a sheet that was filled in.
     *
     * @return list<NeverReview> not stored yet
     *
     * @throws FloraRefused naming the line that cannot be taken, and why
     */
    public function taken(Flora $flora, string $sheet, string $who, \DateTimeImmutable $now): array
    {
        $reviews = [];
        foreach (explode("\n", str_replace("\r", '', $sheet)) as $number => $line) {
            if (1 !== preg_match('/^\[(.)\]\s*(\S+?)\/(\S+)(?:.*?\s\|\s*(.*))?$/u', $line, $m) || ' ' === $m[1]) {
                continue;
            }
            $verdict = match ($m[1]) {
                'x', 'X' => ReviewVerdict::Agreed,
                '!' => ReviewVerdict::Doubted,
                default => throw FloraRefused::because(
                    'line '.($number + 1),
                    \sprintf('"[%s]" is no mark; put [x], [!] or [ ].', $m[1]),
                ),
            };
            $never =
                ($flora->taxa[$m[2]] ?? null)->nevers[$m[3]] ??
                throw FloraRefused::because(
                    'line '.($number + 1),
                    \sprintf('this edition states no "%s/%s".', $m[2], $m[3]),
                );
            $reviews[] = new NeverReview(
                $flora->name,
                $m[2],
                $m[3],
                $never->fingerprint(),
                $verdict,
                $who,
                CalendarDay::of($now),
                trim($m[4] ?? ''),
                $now,
            );
        }

        return [] !== $reviews
            ? $reviews
            : throw FloraRefused::because('the sheet', 'holds no line that is ticked or doubted.');
    }

    /** What a line forbids, in words: `pith: hollow, chambered`. */
    public static function forbidden(Flora $flora, StatedNever $never): string
    {
        $character = $flora->character($never->character);

        return $character->label.
            ': '.
            (null === $never->outside
                ? implode(
                    ', ',
                    array_map(static fn (string $id): string => $character->state($id)->label, $never->states),
                )
                : 'anything but '.$never->outside);
    }

    private static function line(Flora $flora, Taxon $taxon, StatedNever $never): string
    {
        return \sprintf(
            '[ ] %s/%s  never %s. %s (%s; read by %d%s) | ',
            $taxon->id,
            $never->id,
            self::forbidden($flora, $never),
            $never->reason,
            $never->sureness->value,
            $never->agreements(),
            $never->isDoubted() ? '; DOUBTED, excludes nothing' : '',
        );
    }

    /**
     * @param array<mixed>      $never
     * @param list<NeverReview> $reviews
     *
     * @return list<array{who: string, on: string, verdict: string, note?: string}>
     */
    private static function told(array $never, array $reviews): array
    {
        $character = $never['character'] ?? '';
        $states = array_values(
            array_filter(\is_array($never['states'] ?? null) ? $never['states'] : [], is_string(...)),
        );
        $outside = \is_string($never['outside'] ?? null) ? NumberRange::parse($never['outside']) : null;
        $fingerprint = StatedNever::fingerprintOf(\is_string($character) ? $character : '', $states, $outside);
        $told = [];
        foreach ($reviews as $review) {
            if ($review->fingerprint === $fingerprint) {
                $told[] =
                    [
                        'who' => $review->who,
                        'on' => CalendarDay::iso($review->reviewedOn),
                        'verdict' => $review->verdict->value,
                    ] + ('' === $review->note ? [] : ['note' => $review->note]);
            }
        }

        return $told;
    }
}
