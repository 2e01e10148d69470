<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Storage\FolderSize;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

final class FolderSizeTest extends TestCase
{
    public function testWhatIsGoneWhileOneCountsCountsNothing(): void
    {
        $folder = sys_get_temp_dir().'/hylognosis-'.bin2hex(random_bytes(4));
        $files = new Filesystem();
        $files->dumpFile($folder.'/a', '123');
        $files->dumpFile($folder.'/below/b', '4567');
        symlink($folder.'/never', $folder.'/gone'); // listed, and not there: as a file that went meanwhile
        try {
            $size = FolderSize::of($folder);
            self::assertSame([2, 7], [$size->files, $size->bytes]);
        } finally {
            $files->remove($folder);
        }
    }
}
