<?php

declare(strict_types=1);

namespace App\Survey;

use App\Exchange\Csv;
use App\Exchange\GeoJson;
use App\Survey\View\SheetReasonView;
use App\Survey\View\SurveyView;
use App\Survey\View\WalkedTreeView;
use App\Trees\StandRepository;
use Hylognosis\Survey\SeenMark;
use Hylognosis\Survey\Sheet;

/** A walk as GeoJSON (RFC 7946) and as CSV (RFC 4180). */
final readonly class SurveyFiles
{
    private const COLUMNS = [
        'place',
        'walked_on',
        'due_on',
        'tag',
        'stand',
        'count',
        'kind',
        'settled',
        'gap',
        'seen',
        'dangers',
        'materials',
        'keep',
        'note',
        'latitude',
        'longitude',
        'looked_at',
    ];

    public function __construct(private StandRepository $stands)
    {
    }

    public function csv(SurveyView $survey): string
    {
        $text = Csv::line(self::COLUMNS);
        foreach ($survey->trees as $tree) {
            $text .= Csv::line(array_values(self::row($survey, $tree)));
        }

        return $text;
    }

    public function geoJson(SurveyView $survey): string
    {
        $features = [];
        foreach ($survey->trees as $tree) {
            $line = $tree->isStand ? $this->stands->find($tree->tree)->line ?? [] : [];
            $features[] = [
                'type' => 'Feature',
                // what nobody has placed has no geometry, and is told all the same
                'geometry' => match (true) {
                    \count($line) > 1 => ['type' => 'LineString', 'coordinates' => $line],
                    null !== $tree->latitude => [
                        'type' => 'Point',
                        'coordinates' => [$tree->longitude, $tree->latitude],
                    ],
                    default => null,
                },
                'properties' => array_diff_key(self::row($survey, $tree), ['latitude' => 1, 'longitude' => 1]),
            ];
        }

        return GeoJson::write($features);
    }

    /** @return array<string, string|float|bool|null> */
    private static function row(SurveyView $survey, WalkedTreeView $tree): array
    {
        $on = static fn (Sheet $sheet): string => implode(
            '; ',
            array_map(
                static fn (SheetReasonView $r): string => trim(
                    implode(' ', array_filter([
                        $r->severity?->value,
                        $r->what->value,
                        '' === $r->detail ? '' : '('.$r->detail.')',
                        [] === $r->whom ? '' : 'to '.implode(', ', $r->whom),
                    ], static fn (?string $word): bool => null !== $word && '' !== $word)),
                ),
                array_values(
                    array_filter($tree->reasons, static fn (SheetReasonView $r): bool => $r->sheet === $sheet),
                ),
            ),
        );

        return array_combine(self::COLUMNS, [
            $survey->site,
            $survey->on,
            $survey->dueOn,
            $tree->isStand ? '' : $tree->label,
            $tree->isStand ? $tree->label : '',
            $tree->count->value,
            $tree->kind,
            $tree->settled->value,
            $tree->gap->value ?? '',
            implode('; ', array_map(static fn (SeenMark $m): string => $m->value, $tree->marks)),
            $on(Sheet::Dangers),
            $on(Sheet::Materials),
            $on(Sheet::Keep),
            $tree->note,
            $tree->latitude,
            $tree->longitude,
            null !== $tree->look,
        ]);
    }
}
