<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;

/** What holds at a place is entered, changed and kept, and the gate reads it. */
final class SiteApiTest extends ApiTestCase
{
    private const PLACE = ['name' => 'Weir field', 'latitude' => 47.1, 'longitude' => 15.3, 'altitude' => 540];
    private const LEAVE = ['owner' => 'Weir farm', 'given' => true, 'said' => 'spoken', 'saidOn' => '2027-06-10'];

    public function testFromANewPlaceToAGateThatOpensThere(): void
    {
        $this->signIn('marta');
        $address = $this->place();
        $examination = $this->elderAt($address);
        $place = fn (): mixed => self::at($this->call('GET', $examination.'/points'), 'points.6.because');
        self::assertSame('No permission is recorded for this place.', $place());
        $this->call('POST', $address.'/permissions', ['parts' => ['sambucus-nigra/fruit']] + self::LEAVE);
        self::assertSame('The permission is for other parts, not for this one.', $place());
        $this->call('POST', $address.'/permissions', ['until' => '2027-07-31'] + self::LEAVE);
        self::assertSame('cleared', self::at($this->call('GET', $examination), 'assessment.clearance.answer'));
        $this->call('PUT', $address.'/quotas', ['quotas' => ['sambucus-nigra/flower' => 0]]);
        self::assertStringContainsString('used up: 0 of 0', (string) json_encode($place()));
        $page = $this->call('POST', $address.'/permissions', ['given' => false] + self::LEAVE);
        self::assertSame('The owner has not given permission.', $place());
        self::assertSame(
            [false, true, true],
            array_column((array) self::at($page, 'permissions'), 'given'),
            'the last first',
        );
        self::assertSame(['black elder, fruit'], self::at($page, 'permissions.2.parts'));
    }

    public function testAPermissionThatRunsOutIsToldThreeWeeksBefore(): void
    {
        $this->signIn('marta');
        $address = $this->place();
        $told = function (): array {
            $names = array_column((array) self::at($this->call('GET', '/api/today'), 'askAgain'), 'ended', 'name');

            return array_intersect_key($names, ['Weir field' => true]);
        };
        $this->call('POST', $address.'/permissions', ['until' => '2027-07-06'] + self::LEAVE);
        self::assertSame([], $told(), '22 days');
        $this->call('POST', $address.'/permissions', ['until' => '2027-07-05'] + self::LEAVE);
        self::assertSame(['Weir field' => false], $told());
        $this->call('PUT', '/api/demo/day', ['day' => '2027-07-06']);
        self::assertSame(['Weir field' => true], $told());
    }

    public function testWhatIsChangedStaysOnRecord(): void
    {
        $this->signIn('marta');
        $address = $this->place();
        $changed = [
            'name' => 'Weir field, lower half',
            'altitude' => 530.0,
            'soil' => 'lime',
            'light' => 'half',
            'rules' => 'Shut the gate.',
        ];
        $page = $this->call('PUT', $address, $changed + self::PLACE);
        self::assertSame(
            ['lime', 'half', 'Shut the gate.'],
            [self::at($page, 'soil'), self::at($page, 'light'), self::at($page, 'rules')],
        );
        $deed = (array) self::at($this->call('GET', '/api/people'), 'deeds.0');
        self::assertSame(['changed the place', 'Weir field, lower half'], [$deed['what'], $deed['about']]);
        self::assertSame(
            'name was Weir field; altitude was 540 m; soil was not said; light was not said; rules was not said',
            $deed['note'],
        );
    }

    public function testWhatCannotBeIsRefused(): void
    {
        $this->signIn('marta');
        $address = $this->place();
        self::assertProblem(422, 'already', $this->call('POST', '/api/sites', self::PLACE));
        self::assertProblem(422, 'latitude', $this->call('PUT', $address, ['latitude' => 91] + self::PLACE));
        self::assertProblem(
            422,
            'no kind of the flora',
            $this->call('PUT', $address, ['protectedTaxa' => ['taxus-bacata']] + self::PLACE),
        );
        self::assertProblem(
            422,
            'still to come',
            $this->call('POST', $address.'/permissions', ['saidOn' => '2027-06-15'] + self::LEAVE),
        );
        self::assertProblem(
            422,
            'ended before',
            $this->call('POST', $address.'/permissions', ['until' => '2027-06-09'] + self::LEAVE),
        );
        self::assertProblem(
            422,
            'no part of a kind',
            $this->call('POST', $address.'/permissions', ['parts' => ['sambucus-nigra/wings']] + self::LEAVE),
        );
        self::assertProblem(
            422,
            'no part of a kind',
            $this->call('PUT', $address.'/quotas', ['quotas' => ['elder' => 3]]),
        );
        self::assertProblem(
            422,
            'quotas',
            $this->call('PUT', $address.'/quotas', ['quotas' => ['sambucus-nigra/flower' => -1]]),
        );
        self::assertSame([], self::at($this->call('GET', $address), 'permissions'));
        $this->signIn('ida');
        self::assertProblem(
            403,
            'entered by an instructor',
            $this->call('POST', $address.'/permissions', self::LEAVE),
        );
    }

    /** @return string its address */
    private function place(): string
    {
        return '/api/sites/'.self::text($this->call('POST', '/api/sites', self::PLACE), 'site.id');
    }

    /** @return string the address of an examination of an elder there, complete but for the place */
    private function elderAt(string $place): string
    {
        $tree = $this->call('POST', '/api/specimens', [
            'tag' => 'W-01',
            'siteId' => basename($place),
            'whereabouts' => 'by the weir',
        ]);
        self::assertResponseStatusCodeSame(200);
        $address = $this->begin('W-01', [
            'claimTaxon' => 'sambucus-nigra',
            'claimPart' => 'flower',
            'specimenId' => self::text($tree, 'id'),
        ]);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);

        return $address;
    }
}
