<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Flora\Calendar;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Description;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Legibility;
use Hylognosis\Flora\Names;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\Region;
use Hylognosis\Flora\Sight;
use Hylognosis\Flora\State;
use Hylognosis\Flora\Status;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\Variants;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/**
 * A flora made from a table of probabilities; one organ to a character, so that nothing is tempered, unless organs are
 * given.
 */
final readonly class TableFlora
{
    /**
     * @param array<string, array<string, array<string, float>>> $table  taxon → character → state → share
     * @param array<string, Organ>                               $organs by character
     */
    public static function of(array $table, float $misreading, array $organs = []): Flora
    {
        $characters = $taxa = [];
        foreach ($table as $id => $described) {
            foreach ($described as $character => $shares) {
                $states = [];
                foreach (array_keys($shares) as $state) {
                    $states[(string) $state] = new State(
                        (string) $state,
                        (string) $state,
                        (string) $state,
                        'none',
                        false,
                    );
                }
                $characters[$character] ??= new Character(
                    $character,
                    $organs[$character] ?? Organ::cases()[\count($characters)],
                    CharacterKind::States,
                    $character,
                    $character,
                    '',
                    $states,
                    '',
                    new Sight(Phenophase::cases(), Reach::Hand, Instrument::None, 1),
                    new Legibility($misreading),
                );
            }
            $taxa[$id] = new Taxon(
                $id,
                $id,
                new Names('', '', [$id]),
                new Status('', false, ''),
                '',
                new Calendar(['in-leaf' => Window::wholeYear()]),
                new Description($described, []),
                new Variants(),
                [],
                [],
                [],
                [],
            );
        }

        return new Flora(
            'table',
            'Table',
            '1',
            '',
            Place::of(47, 15, Length::ofMetres(400)),
            Region::of('nowhere', 40.0, 55.0, 5.0, 25.0, Length::ofMetres(0), Length::ofMetres(2000)),
            $characters,
            $taxa,
            [],
            [],
        );
    }
}
