<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Account\InvitationRepository;
use App\Demo\DemoSchool;
use App\School\BeginWord;
use App\Tests\Support\Starter;
use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** People come, change and leave; what they did stays. */
final class PeopleApiTest extends ApiTestCase
{
    private const SENTENCE = 'a sentence of one’s own';

    public function testAnEmptySchoolIsBegunOnceByTheWordTheServerPrinted(): void
    {
        self::getContainer()->get(DemoSchool::class)->clear();
        self::assertFalse(self::at($this->call('GET', '/api/session'), 'begun'));
        $word = self::getContainer()->get(BeginWord::class)->make();
        $first = [
            'name' => '',
            'place' => 'Orlebach',
            'latitude' => 47.12,
            'longitude' => 15.31,
            'altitude' => 560,
            'flora' => 'eastern-north-america',
            'units' => 'imperial',
            'dates' => 'iso',
            'ofOne' => true,
            'person' => 'Marta Ellinger',
            'email' => 'Marta@Orlebach.example',
            'password' => self::SENTENCE,
        ];
        self::assertProblem(
            422,
            'not the word',
            $this->call('POST', '/api/begin', $first + ['word' => 'aaaa-aaaa-aaaa-aaaa']),
        );
        self::assertProblem(
            422,
            'Twelve letters',
            $this->call('POST', '/api/begin', ['password' => 'short'] + $first + ['word' => $word]),
        );
        self::assertFalse(self::at($this->call('GET', '/api/session'), 'begun'), 'nothing was half stored');
        $session = $this->call('POST', '/api/begin', $first + ['word' => strtoupper(str_replace('-', ' ', $word))]);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(
            ['instructor', 'imperial', 'eastern-north-america'],
            [self::at($session, 'user.role'), self::at($session, 'user.units'), self::at($session, 'user.flora')],
        );
        self::assertSame([true, 'iso'], [self::at($session, 'school.ofOne'), self::at($session, 'school.dates')]);
        self::assertSame('Orlebach', self::at($this->call('GET', '/api/today'), 'place'), 'signed in at once');
        self::assertProblem(409, 'has begun already', $this->call('POST', '/api/begin', $first + ['word' => $word]));
    }

    public function testAnInvitationWorksOnceAndNotForEver(): void
    {
        $this->signIn('marta');
        $invitation = $this->call('POST', '/api/invitations', ['name' => 'Nora', 'role' => 'learner']);
        $path = '/api'.self::text($invitation, 'path');
        self::assertNull(self::at($this->call('GET', '/api/people'), 'invitations.0.path'), 'told once');
        $this->client->getCookieJar()->clear();
        self::assertSame('Marta Ellinger', self::at($this->call('GET', $path), 'by'));
        self::assertProblem(422, 'already', $this->call('POST', $path, self::joining('ida@orlebach.example')));
        $session = $this->call('POST', $path, self::joining('nora@orlebach.example'));
        self::assertSame(['Nora Birk', 'learner'], [self::at($session, 'user.name'), self::at($session, 'user.role')]);
        self::assertProblem(
            404,
            'works no more',
            $this->call('POST', $path, self::joining('nora.again@orlebach.example')),
        );
        self::assertProblem(403, 'Instructors look after', $this->call('GET', '/api/people'));
        $this->signIn('marta');
        $deeds = array_column((array) self::at($this->call('GET', '/api/people'), 'deeds'), 'what', 'about');
        self::assertSame('joined', $deeds['Nora Birk'] ?? null);
        self::assertSame('invited', $deeds['Nora'] ?? null);
    }

    public function testALinkGoesByMailWhereAServerIsSet(): void
    {
        $this->signIn('marta');
        $nora = ['name' => 'Nora', 'role' => 'learner'];
        self::assertFalse($this->call('POST', '/api/invitations', $nora)['mailed'], 'no address, no mail');
        self::assertProblem(
            422,
            'email',
            $this->call('POST', '/api/invitations', ['email' => "nora@orlebach.example\nBcc: x@x.example"] + $nora),
        );
        self::assertEmailCount(0);
        $invitation = $this->call('POST', '/api/invitations', ['email' => 'nora@orlebach.example'] + $nora);
        self::assertTrue($invitation['mailed']);
        self::assertEmailCount(1);
        $mail = self::getMailerMessage();
        self::assertInstanceOf(Email::class, $mail);
        self::assertSame(
            ['nora@orlebach.example'],
            array_map(static fn (Address $a) => $a->getAddress(), $mail->getTo()),
        );
        self::assertEmailTextBodyContains($mail, 'http://localhost'.self::text($invitation, 'path'));
        self::assertEmailTextBodyContains($mail, 'Marta Ellinger made this link for you. It works once');
    }

    #[TestWith(['expired'])]
    #[TestWith(['withdrawn'])]
    public function testALinkThatDoesNotHoldAnyMoreLetsNobodyIn(string $why): void
    {
        $this->signIn('marta');
        $invitation = $this->call('POST', '/api/invitations', ['name' => 'Nora', 'role' => 'instructor']);
        if ('withdrawn' === $why) {
            $this->call('DELETE', '/api/invitations/'.self::text($invitation, 'id'));
        } else {
            self::getContainer()
                ->get(EntityManagerInterface::class)
                ->getConnection()
                ->executeStatement("UPDATE invitation SET expires_at = '2020-01-01 00:00:00'");
            self::getContainer()->get(EntityManagerInterface::class)->clear();
        }
        $this->client->getCookieJar()->clear();
        $path = '/api'.self::text($invitation, 'path');
        self::assertProblem(404, 'works no more', $this->call('GET', $path));
        self::assertProblem(404, 'works no more', $this->call('POST', $path, self::joining('nora@orlebach.example')));
        self::assertProblem(404, 'works no more', $this->call('GET', '/api/join/'.str_repeat('A', 32)));
        self::assertCount(1, self::getContainer()->get(InvitationRepository::class)->findAll(), 'it stays on record');
    }

    public function testTheNumberOfThePoisonCentreIsEnteredOnceForAll(): void
    {
        $this->signIn('marta');
        $at = '/api/school/poison-centre';
        $school = $this->call('PUT', $at, ['number' => ' 01 406 43 43 ']);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('01 406 43 43', $school['poisonCentre']);
        foreach (['ask the doctor', "12\u{202E}34", str_repeat('1', 61)] as $wrong) {
            $this->call('PUT', $at, ['number' => $wrong]);
            self::assertResponseStatusCodeSame(422, $wrong);
        }
        $this->signIn('vera');
        self::assertSame('01 406 43 43', self::at($this->call('GET', '/api/session'), 'school.poisonCentre'));
        $this->call('PUT', $at, ['number' => '999']);
        self::assertResponseStatusCodeSame(403);
    }

    public function testAGuestReadsAndChangesNothing(): void
    {
        $this->signIn('vera');
        foreach (['/api/today', '/api/specimens', '/api/flora', '/api/sites'] as $page) {
            $this->call('GET', $page);
            self::assertResponseStatusCodeSame(200, $page);
        }
        $tree = $this->tree('M-01');
        self::assertProblem(
            403,
            '',
            $this->call('POST', '/api/examinations', ['specimenId' => $tree, 'date' => '2027-06-14']),
        );
        self::assertProblem(403, '', $this->call('POST', '/api/specimens', ['tag' => 'Z-09', 'siteId' => $tree]));
        $this->call('PUT', '/api/preferences', ['units' => 'imperial']);
        self::assertResponseStatusCodeSame(200, 'how one reads is one’s own');
    }

    public function testWhoChangesThePasswordIsSignedOutEverywhereElse(): void
    {
        $this->signIn('ida');
        $before = $this->client->getCookieJar()->all();
        self::assertCount(1, $before);
        $this->client->getCookieJar()->clear();
        $this->signIn('ida');
        self::assertProblem(
            422,
            'not your password',
            $this->call('POST', '/api/password', ['present' => 'wrong', 'next' => self::SENTENCE]),
        );
        self::assertProblem(
            422,
            'again and again',
            $this->call('POST', '/api/password', ['present' => DemoSchool::PASSWORD, 'next' => str_repeat('ab', 8)]),
        );
        $this->call('POST', '/api/password', ['present' => DemoSchool::PASSWORD, 'next' => self::SENTENCE]);
        self::assertResponseStatusCodeSame(200);
        $this->call('GET', '/api/today');
        self::assertResponseStatusCodeSame(200, 'here one stays');
        $this->client->getCookieJar()->clear();
        $this->client->getCookieJar()->set($before[0]);
        $this->call('GET', '/api/today');
        self::assertResponseStatusCodeSame(401, 'on the tablet in the hut nobody is signed in any more');
        $this->call('POST', '/api/login', ['email' => 'ida@orlebach.example', 'password' => DemoSchool::PASSWORD]);
        self::assertResponseStatusCodeSame(401);
    }

    public function testWhoLeavesIsOutAtOnceAndTheirNameStays(): void
    {
        $this->signIn('ida');
        $address = $this->begin('M-01');
        $this->score($address, ['leaf.kind' => ['pinnate', 2]]);
        $this->call('POST', $address.'/sign');
        $cookies = $this->client->getCookieJar()->all();
        $this->signIn('marta');
        $address = '/api/people/'.$this->person('ida');
        $people = (array) self::at($this->call('PATCH', $address, ['left' => true]), 'members');
        self::assertSame(['Ida Lenz', true], [self::at($people, '5.name'), self::at($people, '5.left')], 'last of all');
        $history = $this->call('GET', '/api/specimens/'.$this->tree('M-01').'/examinations');
        self::assertContains('Ida Lenz', array_column($history, 'examiner'));
        $this->client->getCookieJar()->clear();
        foreach ($cookies as $cookie) {
            $this->client->getCookieJar()->set($cookie);
        }
        $this->call('GET', '/api/today');
        self::assertResponseStatusCodeSame(401);
        $this->call('POST', '/api/login', ['email' => 'ida@orlebach.example', 'password' => DemoSchool::PASSWORD]);
        self::assertResponseStatusCodeSame(401);
    }

    public function testSomebodyAlwaysLooksAfterTheSchool(): void
    {
        $this->signIn('marta');
        $this->call('PATCH', '/api/people/'.$this->person('jonas'), ['role' => 'learner']);
        self::assertResponseStatusCodeSame(200);
        foreach ([['left' => true], ['role' => 'guest']] as $change) {
            self::assertProblem(
                409,
                'look after the school',
                $this->call('PATCH', '/api/people/'.$this->person('marta'), $change),
            );
        }
        self::assertSame('instructor', self::at($this->call('GET', '/api/session'), 'user.role'));
    }

    public function testALostPasswordIsSetByALinkFromAnInstructor(): void
    {
        $this->signIn('marta');
        $link =
            '/api'.
            self::text($this->call('POST', '/api/people/'.$this->person('tobias').'/password-link'), 'path');
        $this->client->getCookieJar()->clear();
        self::assertTrue(self::at($this->call('GET', $link), 'renews'));
        self::assertProblem(
            409,
            'for a new password',
            $this->call('POST', $link, self::joining('two@orlebach.example')),
        );
        self::assertSame(
            'Tobias Rauth',
            self::at($this->call('POST', $link.'/password', ['password' => self::SENTENCE]), 'user.name'),
        );
        self::assertProblem(
            404,
            'works no more',
            $this->call('POST', $link.'/password', ['password' => self::SENTENCE]),
        );
    }

    public function testWhatALearnerBeganStaysALearnersWhoeverGoesOnWithIt(): void
    {
        $this->signIn('ida');
        $address = $this->begin('M-01', ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower']);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('POST', $address.'/hand-over', ['to' => $this->person('marta')]);
        self::assertResponseStatusCodeSame(200);
        self::assertProblem(403, 'Only Marta Ellinger', $this->call('PATCH', $address, ['stage' => 'old']));
        $this->signIn('marta');
        $examination = $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        self::assertSame('Ida Lenz', self::at($examination, 'handedOver.0.name'));
        self::assertSame(\count(Starter::ELDER_AS_SHIPPED), self::at($examination, 'handedOver.0.scores'));
        self::assertSame(
            'A learner’s examination never clears.',
            self::at($examination, 'assessment.clearance.because'),
        );
    }

    public function testWhoBecomesAnInstructorDidNotLookAsOneBefore(): void
    {
        $this->signIn('ida');
        $address = $this->begin('M-01', ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower']);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $this->call('POST', $address.'/sign');
        $this->signIn('marta');
        $this->call('PATCH', '/api/people/'.$this->person('ida'), ['role' => 'instructor']);
        self::assertSame('withheld', self::at($this->call('GET', $address), 'assessment.clearance.answer'));
        $this->call('PATCH', '/api/people/'.$this->person('ida'), ['role' => 'learner']);
    }

    /** @return array<string, string> */
    private static function joining(string $email): array
    {
        return ['name' => 'Nora Birk', 'email' => $email, 'password' => self::SENTENCE];
    }
}
