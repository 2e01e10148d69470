<?php

declare(strict_types=1);

use App\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\Filesystem\Filesystem;

require dirname(__DIR__).'/vendor/autoload.php';
(new Dotenv())->bootEnv(dirname(__DIR__).'/.env');

// A fresh schema with the demo school in it, for this process (TEST_TOKEN puts itself in the file's name).
(static function (): void {
    $root = dirname(__DIR__);
    $token = (string) getenv('TEST_TOKEN');
    $files = new Filesystem();
    foreach (['', '-wal', '-shm'] as $suffix) {
        $files->remove($root.'/var/test'.$token.'.db'.$suffix);
    }
    $kernel = new Kernel('test', false);
    $application = new Application($kernel);
    $application->setAutoExit(false);
    $output = new BufferedOutput();
    foreach (
        [['command' => 'doctrine:migrations:migrate', '--no-interaction' => true], ['command' => 'hylognosis:demo']] as $command
    ) {
        if (0 !== $application->run(new ArrayInput($command), $output)) {
            throw new RuntimeException($output->fetch());
        }
    }
    $kernel->shutdown();
})();
