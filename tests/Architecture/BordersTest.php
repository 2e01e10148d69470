<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Borders between the rooms, checked by the static analysis. */
final class BordersTest
{
    /**
     * The rooms of the core, each with those it may use; every one comes after those, so that none can use one another
     * in a circle.
     */
    private const ROOMS = [
        'Document' => [],
        'Measure' => [],
        'Position' => ['Measure'],
        'Route' => ['Measure'],
        'Flora' => ['Document', 'Measure'],
        'Search' => ['Flora'],
        'Reason' => [],
        'Weather' => ['Measure'],
        'Season' => ['Flora', 'Measure', 'Weather'],
        'Range' => ['Measure'],
        'Care' => [],
        'Stock' => ['Flora', 'Measure', 'Position', 'Season'],
        'Storm' => ['Measure', 'Position', 'Route', 'Stock', 'Weather'],
        'Survey' => ['Flora'],
        'Recipe' => ['Document', 'Measure'],
        'Processing' => ['Measure', 'Weather'],
        'Crop' => ['Flora', 'Measure', 'Season', 'Weather'],
        'Examination' => ['Flora', 'Measure'],
        'Identification' => ['Examination', 'Flora', 'Measure', 'Reason', 'Season'],
        'Clearance' => ['Examination', 'Flora', 'Identification', 'Measure', 'Reason', 'Season'],
        'Wording' => ['Clearance', 'Crop', 'Examination', 'Flora', 'Identification', 'Measure', 'Reason', 'Season'],
        'Assessment' => [
            'Clearance',
            'Document',
            'Examination',
            'Flora',
            'Identification',
            'Measure',
            'Reason',
            'Season',
        ],
        'Rehearsal' => ['Clearance', 'Examination', 'Flora', 'Identification', 'Measure', 'Reason', 'Season'],
        'Learning' => [
            'Clearance',
            'Examination',
            'Flora',
            'Identification',
            'Measure',
            'Rehearsal',
            'Season',
        ],
    ];

    /**
     * The rooms of the application, each with those whose doings it may use. What a room shows or takes in (View,
     * Input) is plain data, and open to all.
     */
    private const APPLICATION = [
        'Clock' => [],
        'Storage' => [],
        'Library' => ['Storage'],
        'Web' => ['Library', 'Storage'],
        'School' => ['Library', 'Storage', 'Web'],
        'Account' => ['Clock', 'Library', 'School', 'Storage', 'Web'],
        'Running' => ['Account', 'Clock', 'Library', 'Storage', 'Web'],
        'Trees' => ['Account', 'Clock', 'Library', 'Storage', 'Web'],
        'Examine' => ['Account', 'Clock', 'Library', 'Storage', 'Trees', 'Web'],
        'Field' => ['Account', 'Clock', 'Examine', 'Library', 'Storage', 'Trees', 'Web'],
        'Find' => ['Account', 'Examine', 'Library', 'Trees', 'Web'],
        'Harvest' => ['Account', 'Clock', 'Examine', 'Library', 'Storage', 'Trees', 'Weather', 'Web'],
        'Devices' => ['Account', 'Web'],
        'Stock' => ['Account', 'Library', 'Web'],
        'Learning' => ['Account', 'Clock', 'Examine', 'Exchange', 'Library', 'Storage', 'Trees', 'Web'],
        'Teaching' => [
            'Account',
            'Clock',
            'Examine',
            'Hazards',
            'Learning',
            'Library',
            'Pictures',
            'Season',
            'Storage',
            'Trees',
            'Web',
        ],
        'Trust' => ['Account', 'Clock', 'Examine', 'Learning', 'Library', 'Storage', 'Trees', 'Web'],
        'Health' => ['Account', 'Clock', 'Library', 'Storage', 'Trees', 'Web'],
        'Survey' => ['Account', 'Clock', 'Exchange', 'Library', 'Storage', 'Trees', 'Web'],
        'Pastures' => ['Account', 'Clock', 'Exchange', 'Library', 'Storage', 'Survey', 'Trees', 'Web'],
        'Storm' => ['Account', 'Clock', 'Library', 'Pastures', 'Storage', 'Survey', 'Trees', 'Weather', 'Web'],
        'Map' => ['Account', 'Clock', 'Examine', 'Exchange', 'Library', 'Storage', 'Trees', 'Web'],
        'Pictures' => [
            'Account',
            'Batches',
            'Clock',
            'Examine',
            'Harvest',
            'Health',
            'Library',
            'Storage',
            'Trees',
            'Web',
        ],
        'Exchange' => [
            'Account',
            'Clock',
            'Examine',
            'Harvest',
            'Library',
            'Pictures',
            'School',
            'Storage',
            'Trees',
            'Web',
        ],
        'Trials' => ['Account', 'Clock', 'Storage', 'Trees', 'Web'],
        'Batches' => ['Account', 'Clock', 'Examine', 'Harvest', 'Library', 'Recipes', 'Storage', 'Trees', 'Web'],
        'Weather' => ['Account', 'Clock', 'Library', 'Storage', 'Trees', 'Web'],
        'Season' => [
            'Account',
            'Batches',
            'Clock',
            'Examine',
            'Harvest',
            'Library',
            'Map',
            'Pictures',
            'School',
            'Storage',
            'Trees',
            'Web',
            'Weather',
        ],
        'Hazards' => ['Account', 'Clock', 'Library', 'School', 'Storage', 'Survey', 'Trees', 'Web'],
        'Reckoning' => ['Account', 'Clock', 'Trees', 'Weather', 'Web'],
        'Recipes' => ['Account', 'Clock', 'Library', 'Storage', 'Web'],
        'Species' => ['Account', 'Clock', 'Harvest', 'Library', 'Storage', 'Trees', 'Web'],
        'Demo' => [
            'Account',
            'Batches',
            'Clock',
            'Examine',
            'Harvest',
            'Learning',
            'Library',
            'Map',
            'Pictures',
            'Recipes',
            'Running',
            'School',
            'Season',
            'Species',
            'Storage',
            'Teaching',
            'Trees',
            'Trust',
            'Trials',
            'Web',
            'Weather',
            'Health',
            'Pastures',
            'Storm',
            'Survey',
        ],
        'Command' => [
            'Account',
            'Clock',
            'Demo',
            'Devices',
            'Examine',
            'Harvest',
            'Keeping',
            'Library',
            'Pictures',
            'Running',
            'School',
            'Season',
            'Species',
            'Storage',
            'Trees',
            'Web',
        ],
    ];

    #[TestRule]
    public function theCoreUsesNothingButPhpAndPsr(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Hylognosis'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Hylognosis'), Selector::inNamespace('Psr'))
            ->because('the trade is plain PHP');
    }

    #[TestRule]
    public function nothingUsesTheApplicationButItsTests(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Hylognosis'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'))
            ->because('the core must run without the application');
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function theRoomsOfTheCoreStandInOrder(): iterable
    {
        foreach (self::ROOMS as $room => $uses) {
            yield $room => PHPat::rule()
                ->classes(Selector::inNamespace('Hylognosis\\'.$room))
                ->canOnlyDependOn()
                ->classes(
                    ...array_map(static fn (string $name) => Selector::inNamespace('Hylognosis\\'.$name), [
                        $room,
                        ...$uses,
                    ]),
                )
                ->because('a room that uses its user cannot be read, or tested, alone');
        }
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function theRoomsOfTheApplicationStandInOrder(): iterable
    {
        foreach (self::APPLICATION as $room => $uses) {
            foreach (array_diff(array_keys(self::APPLICATION), [$room, ...$uses]) as $closed) {
                yield $room.' leaves '.$closed.' alone' => PHPat::rule()
                    ->classes(Selector::inNamespace('App\\'.$room))
                    ->shouldNotDependOn()
                    ->classes(Selector::inNamespace('App\\'.$closed))
                    ->excluding(
                        Selector::inNamespace('App\\'.$closed.'\\View'),
                        Selector::inNamespace('App\\'.$closed.'\\Input'),
                    )
                    ->because('a capability that uses its user cannot be changed alone');
            }
        }
    }

    #[TestRule]
    public function theCoreIsTestedWithoutTheApplication(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('App\\Tests\\Core'),
                Selector::classname(Starter::class),
                Selector::classname(Dossiers::class),
            )
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'))
            ->excluding(Selector::inNamespace('App\\Tests\\Core'), Selector::inNamespace('App\\Tests\\Support'))
            ->because('the rules are read and tested on their own');
    }
}
