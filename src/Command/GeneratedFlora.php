<?php

declare(strict_types=1);

namespace App\Command;

use Hylognosis\Flora\Calendar;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Description;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Handling;
use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Legibility;
use Hylognosis\Flora\Names;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\Region;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Sight;
use Hylognosis\Flora\State;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Status;
use Hylognosis\Flora\Sureness;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\Timing;
use Hylognosis\Flora\Variants;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes up floras of any size for the benchmark; the same size always gives the same flora. */
final readonly class GeneratedFlora
{
    public function make(int $taxa, int $characters): Flora
    {
        $random = new Randomizer(new Mt19937(20270614));
        $made = [];
        for ($c = 0; $c < $characters; ++$c) {
            $character = $this->character($c, $random);
            $made[$character->id] = $character;
        }
        $list = [];
        for ($t = 0; $t < $taxa; ++$t) {
            $list['t'.$t] = $this->taxon($t, $made, $random);
        }

        return new Flora(
            'generated',
            'Generated',
            '1',
            str_repeat('0', 64),
            Place::of(47.0, 15.0, Length::ofMetres(400)),
            Region::of('nowhere', 40.0, 55.0, 5.0, 25.0, Length::ofMetres(0), Length::ofMetres(2000)),
            $made,
            $list,
            [],
            [],
        );
    }

    private function character(int $c, Randomizer $random): Character
    {
        $organ = Organ::cases()[$c % 8];
        $numeric = 0 === $c % 9;
        $states = [];
        for ($s = 0, $n = $numeric ? 0 : $random->getInt(2, 6); $s < $n; ++$s) {
            $states['s'.$s] = new State('s'.$s, 's'.$s, 'generated', 'none', false);
        }

        return new Character(
            'c'.$c,
            $organ,
            $numeric ? CharacterKind::Number : CharacterKind::States,
            'c'.$c,
            'c'.$c.'?',
            '',
            $states,
            $numeric ? 'cm' : '',
            new Sight(Phenophase::cases(), Reach::Hand, Instrument::None, $random->getInt(1, 3)),
            new Legibility(0.03),
        );
    }

    /** @param array<string, Character> $characters */
    private function taxon(int $t, array $characters, Randomizer $random): Taxon
    {
        $frequencies = $ranges = [];
        foreach ($characters as $id => $character) {
            if ($character->isNumeric()) {
                $low = $random->getInt(1, 30);
                $ranges[$id] = NumberRange::of($low * 0.7, $low, $low * 1.6, $low * 2);
            } else {
                $ids = array_keys($character->states);
                $one = $ids[$random->getInt(0, \count($ids) - 1)];
                $other = $ids[$random->getInt(0, \count($ids) - 1)];
                $frequencies[$id] = $one === $other ? [$one => 1.0] : [$one => 0.75, $other => 0.25];
            }
        }
        $dangerous = 0 === $t % 3;
        $required = array_map(
            static fn (string $id): RequiredFeature => new RequiredFeature($id, array_keys($frequencies[$id]), null, 2),
            \array_slice(array_keys($frequencies), 0, 6),
        );

        $nevers = [];
        foreach ($dangerous ? array_keys($frequencies) : [] as $n => $id) {
            $unlisted = array_values(array_diff(array_keys($characters[$id]->states), array_keys($frequencies[$id])));
            if (0 === $n % 4 && [] !== $unlisted) {
                $nevers[$id] = new StatedNever($id, $id, $unlisted, null, 'generated', Sureness::Sure, []);
            }
        }

        return new Taxon(
            't'.$t,
            'Taxon '.$t,
            new Names('', 'Generated', ['taxon '.$t]),
            new Status('native', false, ''),
            '',
            new Calendar(['in-leaf' => Window::wholeYear()]),
            new Description($frequencies, $ranges),
            new Variants(),
            $nevers,
            $dangerous ? [new Hazard('leaf', 'people', 'eating', Severity::Serious, '', [])] : [],
            [
                'leaf' => new Part(
                    'leaf',
                    'leaf',
                    [],
                    $dangerous ? 'harmful' : '',
                    $dangerous ? null : new Timing(Window::wholeYear(), null, null, 7),
                    [],
                    $dangerous ? [] : $required,
                    [],
                    new Handling(),
                    [],
                ),
            ],
            [],
        );
    }
}
