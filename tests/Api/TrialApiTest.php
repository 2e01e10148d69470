<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\Uid\Uuid;

/** What the school tried, and which of its ways works best. */
final class TrialApiTest extends ApiTestCase
{
    public function testTheSurestWayStandsFirstAndDampnessIsNotMixedIn(): void
    {
        $this->signIn('ida');
        $trial = [
            'what' => 'ink',
            'of' => 'oak galls',
            'way' => 'iron and gum',
            'damp' => 'dry',
            'worked' => true,
            'seconds' => 600,
        ];
        $told = [];
        foreach ([true, true, true, true, false] as $worked) {
            $told = $this->call('POST', '/api/trials', ['worked' => $worked, 'id' => Uuid::v4()->toRfc4122()] + $trial);
            self::assertResponseStatusCodeSame(200);
        }
        $wet = ['damp' => 'wet', 'of' => 'Oak galls', 'id' => Uuid::v4()->toRfc4122()] + $trial;
        $this->call('POST', '/api/trials', $wet);
        $told = $this->call('POST', '/api/trials', $wet);
        self::assertCount(2, (array) $told['ways'], 'sent twice, recorded once; wet is not dry');
        self::assertSame(
            ['dry', 5, 4, 38, 96, 600],
            array_map(static fn (string $key): mixed => self::at($told, 'ways.0.'.$key), [
                'damp',
                'tried',
                'worked',
                'least',
                'most',
                'seconds',
            ]),
            'Wilson’s interval of 4 in 5',
        );
        $id = $wet['id'];
        $this->signIn('tobias');
        self::assertProblem(403, 'takes it back', $this->call('DELETE', '/api/trials/'.$id));
        $this->signIn('ida');
        self::assertCount(1, (array) $this->call('DELETE', '/api/trials/'.$id)['ways']);
        foreach (
            [['what' => 'soap'], ['of' => ' '], ['way' => ''], ['damp' => 'soaked'], ['seconds' => 0], ['tree' => $id]] as $wrong
        ) {
            $this->call('POST', '/api/trials', $wrong + ['id' => Uuid::v4()->toRfc4122()] + $trial);
            self::assertResponseStatusCodeSame(422, json_encode($wrong, \JSON_THROW_ON_ERROR));
        }
    }
}
