<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\User;
use App\Pictures\Album;
use App\Pictures\Picture;
use App\Pictures\PictureBytes;
use App\Pictures\PictureRepository;
use App\Pictures\Rendition;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;

/** The pictures a reader may see, in one zip with a table that says what each is of. */
final readonly class PictureArchive
{
    public const COLUMNS = [
        'file',
        'tag',
        'place',
        'taken_on',
        'added_by',
        'caption',
        'examination',
        'character',
        'harvest',
        'pixels_per_mm',
        'sha256',
    ];
    /** A zip holds what it is given until it is closed. */
    private const AT_ONCE = 16;

    public function __construct(
        private PictureRepository $pictures,
        private Album $album,
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return string path of a file whoever asks has to delete */
    public function write(User $reader): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'pictures');
        $table = Csv::line(self::COLUMNS);
        $zip = self::open($path);
        foreach ($this->pictures->shown($reader) as $n => $picture) {
            $bytes = $this->album->bytes($picture, Rendition::Full);
            if (null === $bytes) {
                continue; // hylognosis:doctor tells of it
            }
            $name = self::name($picture);
            $zip->addFromString($name, $bytes);
            $zip->setCompressionName($name, \ZipArchive::CM_STORE); // they are as small as they get
            $table .= Csv::line(self::row($picture, $name));
            if (0 === ($n + 1) % self::AT_ONCE) {
                $zip->close();
                $zip = self::open($path);
                foreach ($this->entities->getUnitOfWork()->getIdentityMap()[PictureBytes::class] ?? [] as $held) {
                    $this->entities->detach($held);
                }
            }
        }
        $zip->addFromString('pictures.csv', $table);
        $zip->close();

        return $path;
    }

    private static function open(string $path): \ZipArchive
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, 0 === filesize($path) ? \ZipArchive::OVERWRITE : 0)) {
            throw new \RuntimeException('The archive cannot be written.');
        }

        return $zip;
    }

    private static function name(Picture $picture): string
    {
        return \sprintf(
            'pictures/%s-%s.%s',
            CalendarDay::iso($picture->takenOn),
            substr($picture->id, -12),
            'application/pdf' === $picture->type ? 'pdf' : 'jpg',
        );
    }

    /** @return list<string|float|null> */
    private static function row(Picture $picture, string $name): array
    {
        $tree = $picture->specimen ?? $picture->examination?->specimen;

        return [
            $name,
            $tree->tag ?? '',
            $tree?->site->name ?? $picture->permission?->site->name,
            CalendarDay::iso($picture->takenOn),
            $picture->addedBy->name,
            $picture->caption,
            $picture->examination?->id,
            $picture->score?->character,
            $picture->harvest?->id,
            $picture->pixelsPerMillimetre,
            $picture->hash,
        ];
    }
}
