<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Web\Refused;

/**
 * Makes of what a camera sends what is kept: drawn anew, so that position, serial numbers and whatever else stands in
 * the file stay behind, upright, no larger than one needs to see a hair.
 */
final readonly class Developing
{
    public const MOST_BYTES = 12_000_000;
    /** 50 megapixels take 200 MB while they are drawn anew. */
    public const MOST_PIXELS = 24_000_000;
    private const LONGEST = 2400;
    private const THUMBNAIL = 320;
    private const TYPES = [
        \IMAGETYPE_JPEG => 'image/jpeg',
        \IMAGETYPE_PNG => 'image/png',
        \IMAGETYPE_WEBP => 'image/webp',
    ];

    /**
     * @return array{full: string, thumb: string, width: int, height: int} both as JPEG; pixels
     *
     * @throws Refused saying what cannot be taken, and why
     */
    public function develop(string $bytes): array
    {
        $size = \strlen($bytes);
        if (0 === $size) {
            throw Refused::field('file', 'The file is empty.');
        }
        if ($size > self::MOST_BYTES) {
            throw Refused::field(
                'file',
                \sprintf('The picture has %.1f MB; at most 12 MB can be taken. Save it smaller.', $size / 1e6),
            );
        }
        $about = @getimagesizefromstring($bytes);
        if (false === $about || !isset(self::TYPES[$about[2]])) {
            throw Refused::field('file', 'That is no picture that can be taken: send JPEG, PNG or WebP.');
        }
        [$width, $height, $type] = $about;
        if ($width * $height > self::MOST_PIXELS || $width < 8 || $height < 8) {
            throw Refused::field(
                'file',
                \sprintf(
                    'The picture has %d × %d points; between 8 × 8 and 24 million can be taken. Save it smaller.',
                    $width,
                    $height,
                ),
            );
        }
        // made smaller first: all that follows holds it twice
        $full = $this->flat($this->noLongerThan($this->decoded($bytes), self::LONGEST));
        if (\IMAGETYPE_JPEG === $type) {
            $full = $this->upright($full, $bytes);
        }
        $thumb = $this->noLongerThan($full, self::THUMBNAIL);

        return [
            'full' => $this->encoded($full, 88),
            'thumb' => $this->encoded($thumb, 78),
            'width' => imagesx($full),
            'height' => imagesy($full),
        ];
    }

    private function decoded(string $bytes): \GdImage
    {
        // what is cut short is drawn with a grey half unless the library's complaint is heard
        $complaint = '';
        set_error_handler(static function (int $level, string $message) use (&$complaint): bool {
            $complaint = $message;

            return true;
        });
        try {
            $image = imagecreatefromstring($bytes);
        } finally {
            restore_error_handler();
        }
        if (false === $image || '' !== $complaint) {
            throw Refused::field('file', 'The picture is damaged or was cut short; send it again.');
        }
        imagepalettetotruecolor($image);

        return $image;
    }

    /** Paper shows through where it is transparent. */
    private function flat(\GdImage $image): \GdImage
    {
        $flat = imagecreatetruecolor(imagesx($image), imagesy($image));
        imagefill($flat, 0, 0, (int) imagecolorallocate($flat, 255, 255, 255));
        imagecopy($flat, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));

        return $flat;
    }

    /** The camera notes how it was held; the note goes, so the picture must be turned. */
    private function upright(\GdImage $image, string $bytes): \GdImage
    {
        $stream = fopen('php://memory', 'r+');
        if (false === $stream) {
            return $image;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $about = @exif_read_data($stream, 'IFD0');
        fclose($stream);
        $held = \is_array($about) ? $about['Orientation'] ?? 1 : 1;
        $degrees = match ($held) {
            3, 4 => 180,
            5, 6 => 270,
            7, 8 => 90,
            default => 0,
        };
        $turned = 0 === $degrees ? $image : imagerotate($image, $degrees, 0);
        $turned = false === $turned ? $image : $turned;
        if (\in_array($held, [2, 4, 5, 7], true)) {
            imageflip($turned, \IMG_FLIP_HORIZONTAL);
        }

        return $turned;
    }

    private function noLongerThan(\GdImage $image, int $longest): \GdImage
    {
        $scale = $longest / max(imagesx($image), imagesy($image));
        if ($scale >= 1) {
            return $image;
        }
        $scaled = imagescale(
            $image,
            max(1, (int) round(imagesx($image) * $scale)),
            max(1, (int) round(imagesy($image) * $scale)),
            \IMG_BICUBIC,
        );

        return false === $scaled ? $image : $scaled;
    }

    private function encoded(\GdImage $image, int $quality): string
    {
        ob_start();
        imagejpeg($image, null, $quality);

        return (string) ob_get_clean();
    }
}
