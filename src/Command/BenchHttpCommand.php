<?php

declare(strict_types=1);

namespace App\Command;

use App\Demo\DemoSchool;
use App\Demo\YearsOfData;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/** The same application, asked over HTTP: pages of a school with years of data, and many people scoring at once. */
#[AsCommand(
    'hylognosis:bench:http',
    'Times pages of a school with years of data and many clients scoring at once, over HTTP, and prints figures.',
),]
final class BenchHttpCommand extends Command
{
    private const ROUNDS = 15;
    /** Goals in milliseconds: any page, and the answer to a score where sixteen people score at once. */
    private const GOAL_PAGE = 200;
    private const GOAL_CROWD = 500;
    /** Megabytes a request may take. */
    private const MOST_MEMORY = 128;
    /** An examination may take so many times what an empty signed-in page takes. */
    private const GOAL_RATIO = 3;

    public function __construct(
        #[Autowire('%kernel.project_dir%')] private readonly string $root,
        private readonly YearsOfData $years,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('trees', null, InputOption::VALUE_REQUIRED, 'Trees of the measured school.', '10000')
            ->addOption(
                'examinations',
                null,
                InputOption::VALUE_REQUIRED,
                'Examinations of it, of ten scores each.',
                '20000',
            )
            ->addOption('clients', null, InputOption::VALUE_REQUIRED, 'People scoring at once.', '16')
            ->addOption('seconds', null, InputOption::VALUE_REQUIRED, 'How long they score.', '20')
            ->addOption('workers', null, InputOption::VALUE_REQUIRED, 'Processes of the server.', '4')
            ->addOption(
                'at',
                null,
                InputOption::VALUE_REQUIRED,
                'Address of a server that works on such a school already, instead of one of its own.',
            )
            ->addOption('keep', null, InputOption::VALUE_NONE, 'Use the school made before, if there is one.')
            ->addOption('fill', null, InputOption::VALUE_NONE, 'Used by itself: fills the database at hand.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $number = static fn (string $option): int => max(
            1,
            (int) (\is_string($value = $input->getOption($option)) ? $value : '1'),
        );
        if (true === $input->getOption('fill')) {
            $this->years->add($number('trees'), $number('examinations'));

            return Command::SUCCESS;
        }
        $at = $input->getOption('at');
        if (\is_string($at)) {
            $this->measure(rtrim($at, '/'), $number('clients'), $number('seconds'), $output);

            return Command::SUCCESS;
        }
        $database = $this->root.'/var/bench.db';
        $settings = [
            'APP_ENV' => 'prod',
            'APP_DEBUG' => '0',
            'APP_DEMO' => '1',
            'APP_SECRET' => 'bench',
            'DATABASE_URL' => 'sqlite:///'.$database,
            'APP_FIGURES' => $database.'-figures',
            'PHP_CLI_SERVER_WORKERS' => (string) $number('workers'),
        ];
        // what the server would find compiled may be of another day
        (new Process(
            [\PHP_BINARY, 'bin/console', 'cache:clear', '--quiet'],
            $this->root,
            $settings,
            timeout: null,
        ))->mustRun();
        if (true !== $input->getOption('keep') || !is_file($database)) {
            (new Filesystem())->remove([$database, $database.'-wal', $database.'-shm']);
            foreach (
                [
                    ['doctrine:migrations:migrate', '--no-interaction', '--quiet'],
                    ['hylognosis:demo', '--quiet'],
                    [
                        'hylognosis:bench:http',
                        '--fill',
                        '--trees='.$number('trees'),
                        '--examinations='.$number('examinations'),
                    ],
                ] as $command
            ) {
                (new Process(
                    [\PHP_BINARY, 'bin/console', ...$command],
                    $this->root,
                    $settings,
                    timeout: null,
                ))->mustRun();
            }
        }
        $server = new Process(
            [
                'setsid',
                \PHP_BINARY,
                '-d',
                'opcache.memory_consumption=256',
                '-d',
                'memory_limit='.self::MOST_MEMORY.'M', // what takes more is an error here
                '-S',
                '127.0.0.1:'.($port = self::freePort()),
                '-t',
                'public',
                'bin/router.php',
            ],
            $this->root,
            $settings,
            timeout: null,
        );
        $server->disableOutput()->start();
        try {
            $this->measure('http://127.0.0.1:'.$port, $number('clients'), $number('seconds'), $output);
            $output->writeln(\sprintf('No request took more than %d MB of memory.', self::MOST_MEMORY));
        } finally {
            posix_kill(-(int) $server->getPid(), \SIGTERM); // the whole group: its workers outlive it
            $server->stop(2);
        }

        return Command::SUCCESS;
    }

    private function measure(string $base, int $clients, int $seconds, OutputInterface $output): void
    {
        $plain = HttpClient::create([
            'base_uri' => $base,
            'max_duration' => 60,
            'verify_peer' => false,
            'verify_host' => false,
            'headers' => ['Accept' => 'application/json', 'Origin' => $base, 'X-CSRF-Token' => 'csrf-token'],
        ]);
        for ($i = 0; $i < 100 && !self::answers($plain); ++$i) {
            usleep(100_000);
        }
        $people = array_map(
            fn (int $i): HttpClientInterface => $this->signedIn($plain, \sprintf('person-%d@measured.example', $i)),
            range(0, $clients - 1),
        );
        $me = $people[0];
        $tree = $this->first($me, '/api/specimens?q=M-00007');
        $examination = $this->id(
            $me->request('POST', '/api/examinations', [
                'json' => [
                    'specimenId' => $tree,
                    'date' => '2027-06-14',
                    'claimTaxon' => 'sambucus-nigra',
                    'claimPart' => 'flower',
                ],
            ]),
        );
        foreach (
            [
                ['leaf.kind', ['pinnate']],
                ['leaf.arrangement', ['opposite']],
                ['twig.pith', ['wide']],
                ['twig.pith-colour', ['white']],
                ['twig.woodiness', ['woody']],
            ] as [$character, $states]
        ) {
            $this->score($me, $examination, $character, $states)->getContent();
        }
        $pages = [
            'empty, signed in' => '/api/session',
            'an examination' => '/api/examinations/'.$examination,
            'today' => '/api/today',
            'trees, first page' => '/api/specimens',
            'trees, searched' => '/api/specimens?q=row%2042',
            'trees of a danger' => '/api/specimens?danger=deadly',
            'trees on the map' => '/api/map/trees',
            'the ground of the map' => '/api/map/base',
            'a tree' => '/api/specimens/'.$tree.'/page',
            'its years' => '/api/specimens/'.$tree.'/years',
            'what is known of it' => '/api/specimens/'.$tree.'/known',
            'its partners' => '/api/specimens/'.$tree.'/partners',
            'its pictures' => '/api/specimens/'.$tree.'/pictures',
            'a tree’s examinations' => '/api/specimens/'.$tree.'/examinations',
            'its year' => '/api/specimens/'.$tree.'/season',
            'its crops' => '/api/specimens/'.$tree.'/crops',
            'the year of a place' => '/api/year?site='.$this->place($me, 'Land 0'),
            'a day out' => '/api/plan?sites[]='.$this->place($me, 'Land 0'),
            'days kept' => '/api/plan/days',
            'places' => '/api/sites',
            'a place' => '/api/sites/'.$this->first($me, '/api/sites'),
            'people' => '/api/people',
            'flora' => '/api/flora',
            'a species' => '/api/flora/taxa/sambucus-nigra',
            'terms' => '/api/terms',
            'floras' => '/api/floras',
            'lines to review' => '/api/floras/central-european-hills/nevers',
            'evidence' => '/api/examinations/'.$examination.'/evidence/sambucus-nigra/sambucus-ebulus',
            'the page itself' => '/',
        ];
        $table = (new Table($output))->setHeaders(['page', 'first ms', 'median ms', 'worst ms', 'kB', '']);
        $medians = [];
        foreach ($pages as $name => $path) {
            [$first, $times, $bytes] = $this->time($me, $path);
            $medians[$name] = $times[intdiv(\count($times), 2)];
            $table->addRow([
                $name,
                \sprintf('%.0f', $first),
                \sprintf('%.1f', $medians[$name]),
                \sprintf('%.1f', max([0.0, ...$times])),
                \sprintf('%.1f', $bytes / 1000),
                $medians[$name] > self::GOAL_PAGE ? 'above '.self::GOAL_PAGE : '',
            ]);
        }
        $table->render();
        $ratio = $this->ratio($me, $pages['an examination'], $pages['empty, signed in']);
        $output->writeln(
            \sprintf('An examination takes %.1f times an empty signed-in page (goal: %d).', $ratio, self::GOAL_RATIO),
        );
        $this->crowd($people, $tree, $seconds, $output);
    }

    /** @param list<HttpClientInterface> $people */
    private function crowd(array $people, string $tree, int $seconds, OutputInterface $output): void
    {
        $examinations = array_map(
            fn (HttpClientInterface $one): string => $this->id(
                $one->request('POST', '/api/examinations', [
                    'json' => [
                        'specimenId' => $tree,
                        'date' => '2027-06-14',
                        'claimTaxon' => 'sambucus-nigra',
                        'claimPart' => 'flower',
                    ],
                ]),
            ),
            $people,
        );
        $characters = [
            ['leaf.kind', ['pinnate']],
            ['leaf.arrangement', ['opposite']],
            ['twig.pith', ['wide']],
            ['leaf.margin', ['saw-teeth']],
            ['flower.head', ['flat']],
            ['scent.crushed', ['rank']],
            ['bark.surface', ['corky']],
            ['twig.lenticels', ['warts']],
        ];
        $times = [];
        $errors = 0;
        $running = $began = [];
        $until = microtime(true) + $seconds;
        $next = function (int $i, int $n) use (&$running, &$began, $people, &$examinations, $characters): void {
            [$character, $states] = $characters[$n % \count($characters)];
            if ($n > 0 && 0 === $n % (5 * \count($characters))) {
                // one character is scored only so often
                $examinations[$i] = $this->id(
                    $people[$i]->request('POST', '/api/examinations', [
                        'json' => [
                            'specimenId' => $this->treeOf($people[$i], $examinations[$i]),
                            'date' => '2027-06-14',
                        ],
                    ]),
                );
            }
            $response = $this->score($people[$i], $examinations[$i], $character, $states, ['who' => $i, 'n' => $n]);
            $running[spl_object_id($response)] = $response;
            $began[spl_object_id($response)] = microtime(true);
        };
        foreach (array_keys($people) as $i) {
            $next($i, 0);
        }
        while ([] !== $running) {
            foreach ($people[0]->stream($running, 60) as $response => $chunk) {
                if (!$chunk->isLast()) {
                    continue;
                }
                $key = spl_object_id($response);
                $times[] = 1000 * (microtime(true) - $began[$key]);
                $errors += 200 === $response->getStatusCode() ? 0 : 1;
                $data = $response->getInfo('user_data');
                unset($running[$key], $began[$key]);
                if (microtime(true) < $until && \is_array($data) && \is_int($data['who']) && \is_int($data['n'])) {
                    $next($data['who'], $data['n'] + 1);
                }
                break; // what is running has changed
            }
        }
        sort($times);
        $at = static fn (float $share): float => $times[(int) floor($share * (\count($times) - 1))];
        $output->writeln(
            \sprintf(
                '%d people scoring for %d s: %.1f scores a second, median %.0f ms, p95 %.0f ms (goal: %d), worst '.
                    '%.0f ms, %d errors.',
                \count($people),
                $seconds,
                \count($times) / $seconds,
                $at(0.5),
                $at(0.95),
                self::GOAL_CROWD,
                $at(1.0),
                $errors,
            ),
        );
    }

    private function treeOf(HttpClientInterface $one, string $examination): string
    {
        $specimen = $one->request('GET', '/api/examinations/'.$examination)->toArray()['specimen'] ?? [];

        return \is_array($specimen) && \is_string($specimen['id'] ?? null)
            ? $specimen['id']
            : throw new \RuntimeException('An examination without a tree.');
    }

    /**
     * @param list<string>              $states
     * @param array<string, mixed>|null $data
     */
    private function score(
        HttpClientInterface $client,
        string $examination,
        string $character,
        array $states,
        ?array $data = null,
    ): ResponseInterface {
        return $client->request('POST', '/api/examinations/'.$examination.'/scores', [
            'user_data' => $data,
            'json' => [
                'id' => Uuid::v4()->toRfc4122(),
                'character' => $character,
                'states' => $states,
                'certainty' => 'sure',
                'samples' => 3,
                'where' => 'tree',
                'further' => true,
            ],
        ]);
    }

    /** @return array{float, list<float>, int} the first time, the later ones sorted, bytes of the answer */
    private function time(HttpClientInterface $client, string $path): array
    {
        $times = [];
        $bytes = 0;
        for ($i = 0; $i <= self::ROUNDS; ++$i) {
            $start = microtime(true);
            $bytes = \strlen($client->request('GET', $path)->getContent());
            $times[] = 1000 * (microtime(true) - $start);
        }
        $first = $times[0];
        unset($times[0]);
        sort($times);

        return [$first, $times, $bytes];
    }

    /**
     * By turns, so that a machine that quickens or slows down does so for both: the median of one against the other.
     */
    private function ratio(HttpClientInterface $client, string $one, string $other): float
    {
        $times = [$one => [], $other => []];
        for ($i = 0; $i < 3 * self::ROUNDS; ++$i) {
            foreach ([$one, $other] as $path) {
                $start = microtime(true);
                $client->request('GET', $path)->getContent();
                $times[$path][] = microtime(true) - $start;
            }
        }
        sort($times[$one]);
        sort($times[$other]);
        $middle = intdiv(3 * self::ROUNDS, 2);

        return $times[$one][$middle] / $times[$other][$middle];
    }

    private function signedIn(HttpClientInterface $client, string $email): HttpClientInterface
    {
        $response = $client->request('POST', '/api/login', [
            'json' => ['email' => $email, 'password' => DemoSchool::PASSWORD],
        ]);
        $cookie = preg_replace('/;.*/', '', $response->getHeaders()['set-cookie'][0] ?? '');

        return $client->withOptions(['headers' => ['Cookie' => $cookie]]);
    }

    private function first(HttpClientInterface $client, string $path): string
    {
        $list = $client->request('GET', $path)->toArray();
        $rows = $list['trees'] ?? $list;
        $row = \is_array($rows) ? reset($rows) : null;

        return \is_array($row) && \is_string($row['id'] ?? null)
            ? $row['id']
            : throw new \RuntimeException('Nothing is listed under '.$path);
    }

    private function place(HttpClientInterface $client, string $name): string
    {
        foreach ($client->request('GET', '/api/sites')->toArray() as $site) {
            if (\is_array($site) && $name === $site['name'] && \is_string($site['id'])) {
                return $site['id'];
            }
        }

        throw new \RuntimeException('There is no place '.$name);
    }

    private function id(ResponseInterface $response): string
    {
        return \is_string($id = $response->toArray()['id'] ?? null)
            ? $id
            : throw new \RuntimeException('No id in the answer.');
    }

    private static function answers(HttpClientInterface $client): bool
    {
        try {
            return 200 === $client->request('GET', '/api/session')->getStatusCode();
        } catch (\Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface) {
            return false;
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if (false === $socket) {
            throw new \RuntimeException('No free port.');
        }
        $port = (int) preg_replace('/^.*:/', '', (string) stream_socket_get_name($socket, false));
        fclose($socket);

        return $port;
    }
}
