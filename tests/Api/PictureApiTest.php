<?php

declare(strict_types=1);

namespace App\Tests\Api;

use PHPUnit\Framework\Attributes\DataProvider;

/** Pictures as evidence: taken, drawn anew, refused with a reason; and the stand-ins of devices. */
final class PictureApiTest extends ApiTestCase
{
    public function testWhatTheCameraWroteBesideThePictureStaysBehind(): void
    {
        $this->signIn('ida');
        $bytes = $this->withPlaceAndSerialNumber();
        self::assertIsArray(
            exif_read_data('data://image/jpeg;base64,'.base64_encode($bytes), 'GPS'),
            'the file tells where it was taken',
        );
        $picture = $this->send(
            'tree='.$this->tree('M-01').'&caption=Bark&takenOn=2027-06-13',
            $bytes,
            'image/jpeg',
        );
        self::assertResponseStatusCodeSame(200);
        self::assertSame(
            ['image/jpeg', 'Bark', '2027-06-13', 'Ida Lenz'],
            [$picture['type'], $picture['caption'], $picture['takenOn'], $picture['by']],
        );
        self::assertSame([60, 90], [$picture['width'], $picture['height']], 'upright: it was held on its side');
        foreach (['full', 'thumb'] as $kind) {
            $kept = $this->fetch('/api/pictures/'.self::text($picture, 'id').'/'.$kind);
            self::assertStringNotContainsString('Exif', $kept);
            self::assertStringNotContainsString('SN-4711', $kept);
            $size = getimagesizefromstring($kept);
            self::assertNotFalse($size);
            self::assertSame('image/jpeg', $size['mime']);
        }
    }

    public function testALargePictureIsMadeSmallerAndATransparentOneStandsOnPaper(): void
    {
        $this->signIn('ida');
        $image = imagecreatetruecolor(3000, 1500);
        self::assertNotFalse($image);
        imagesavealpha($image, true);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, 0, 0, 0, 127));
        $picture = $this->send(
            'tree='.$this->tree('M-01'),
            self::bytes(static fn () => imagepng($image)),
            'image/png',
        );
        self::assertSame([2400, 1200], [$picture['width'], $picture['height']]);
        $kept = imagecreatefromstring($this->fetch('/api/pictures/'.self::text($picture, 'id').'/thumb'));
        self::assertNotFalse($kept);
        self::assertSame(320, imagesx($kept));
        self::assertGreaterThan(0xF0F0F0, (int) imagecolorat($kept, 100, 100) & 0xFFFFFF);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function refused(): iterable
    {
        $png = self::bytes(static fn () => imagepng(imagecreatetruecolor(64, 64)));
        $jpeg = self::bytes(static fn () => imagejpeg(imagecreatetruecolor(64, 64)));
        yield 'nothing' => ['tree', '', 'The file is empty.'];
        yield 'no picture' => ['tree', 'This is a letter.', 'no picture that can be taken'];
        yield 'a GIF' => [
            'tree',
            self::bytes(static fn () => imagegif(imagecreatetruecolor(64, 64))),
            'send JPEG, PNG or WebP',
        ];
        yield 'SVG with a script' => [
            'tree',
            '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
            'no picture',
        ];
        yield 'cut short' => ['tree', substr($jpeg, 0, (int) (\strlen($jpeg) * 0.7)), 'damaged or was cut short'];
        yield 'a PNG with a wrong sum' => ['tree', substr_replace($png, 'xx', 60, 2), 'damaged or was cut short'];
        yield 'too many points' => [
            'tree',
            substr_replace($png, pack('NN', 60_000, 60_000), 16, 8),
            '60000 × 60000 points',
        ];
        yield 'too small' => ['tree', self::bytes(static fn () => imagepng(imagecreatetruecolor(4, 4))), '4 × 4 points'];
        yield 'too many bytes' => ['tree', $jpeg.str_repeat('x', 12_000_000), 'at most 12 MB'];
        yield 'a paper of a tree' => ['tree', '%PDF-1.7 …', 'the paper of a permission only'];
        yield 'of nothing' => ['', $png, 'Say what it is a picture of'];
        yield 'of a score that is none' => ['score', $png, 'There is no such score'];
    }

    #[DataProvider('refused')]
    public function testWhatCannotBeTakenIsRefusedWithAReason(string $of, string $bytes, string $why): void
    {
        $this->signIn('marta');
        $tree = $this->tree('M-13');
        $before = \count($this->call('GET', '/api/specimens/'.$tree.'/pictures'));
        $query = match ($of) {
            '' => '',
            'score' => 'score='.$tree,
            default => 'tree='.$tree,
        };
        self::assertProblem(422, $why, $this->send($query, $bytes, 'image/jpeg'));
        self::assertCount($before, $this->call('GET', '/api/specimens/'.$tree.'/pictures'));
    }

    public function testOneTakesItsOwnAwayAndPutsItBack(): void
    {
        $this->signIn('ida');
        $tree = '/api/specimens/'.$this->tree('M-13').'/pictures';
        $picture =
            '/api/pictures/'.
            self::text(
                $this->send(
                    'tree='.$this->tree('M-13'),
                    self::bytes(static fn () => imagewebp(imagecreatetruecolor(64, 64))),
                    'image/webp',
                ),
                'id',
            );
        $changed = $this->call('PATCH', $picture, ['caption' => 'With a rule', 'pixelsPerMillimetre' => 7.5]);
        self::assertSame(['With a rule', 7.5], [$changed['caption'], $changed['pixelsPerMillimetre']]);
        self::assertProblem(422, '', $this->call('PATCH', $picture, ['caption' => '', 'pixelsPerMillimetre' => 0]));
        $this->signIn('tobias');
        self::assertProblem(403, 'Only whoever added it', $this->call('DELETE', $picture));
        $this->signIn('ida');
        $this->call('DELETE', $picture);
        self::assertSame([], $this->call('GET', $tree));
        $this->call('POST', $picture.'/restore');
        self::assertCount(1, $this->call('GET', $tree));
    }

    public function testThePaperOfAPermissionIsFetchedAndNeverShown(): void
    {
        $this->signIn('marta');
        $site = self::text($this->call('GET', '/api/sites'), '0.id');
        $page = $this->call('GET', '/api/sites/'.$site);
        $paper = $this->send(
            'permission='.self::text($page, 'permissions.0.id'),
            "%PDF-1.7\n<script>",
            'application/pdf',
        );
        self::assertResponseStatusCodeSame(200);
        self::assertCount(1, $this->call('GET', '/api/sites/'.$site.'/papers'));
        $this->fetch('/api/pictures/'.self::text($paper, 'id').'/full');
        $headers = $this->client->getResponse()->headers;
        self::assertSame('application/pdf', $headers->get('Content-Type'));
        self::assertStringStartsWith('attachment', (string) $headers->get('Content-Disposition'));
        self::assertStringContainsString('sandbox', (string) $headers->get('Content-Security-Policy'));
        $this->signIn('ida');
        self::assertProblem(
            403,
            '',
            $this->send('permission='.self::text($page, 'permissions.0.id'), '%PDF-1.7', 'application/pdf'),
        );
    }

    public function testAPictureGoesWithItsTreeWhereTwoTagsAreOne(): void
    {
        $this->signIn('marta');
        [$stays, $goes] = [$this->tree('M-07'), $this->tree('M-08')];
        $picture = $this->send(
            'tree='.$goes,
            self::bytes(static fn () => imagepng(imagecreatetruecolor(64, 64))),
            'image/png',
        );
        $this->call('POST', '/api/specimens/'.$stays.'/merge', ['with' => $goes, 'because' => 'One stool.']);
        self::assertResponseStatusCodeSame(200);
        self::assertContains(
            $picture['id'],
            array_column($this->call('GET', '/api/specimens/'.$stays.'/pictures'), 'id'),
        );
    }

    public function testTheStandInsSayWhatTheyWereSetTo(): void
    {
        self::getContainer()->get('cache.app')->clear(); // they stand beside the database, and other tests set them
        $this->signIn('ida');
        self::assertSame('silent', $this->call('GET', '/api/devices/receiver')['because']);
        $walk = ['latitude' => 47.12, 'longitude' => 15.31, 'error' => 6];
        $fix = $this->call('PUT', '/api/devices/receiver', $walk);
        self::assertEqualsWithDelta(47.12, $fix['latitude'], 7 / 111_000);
        self::assertEqualsWithDelta(15.31, $fix['longitude'], 7 / 75_000);
        self::assertEqualsWithDelta(6, $fix['uncertainty'], 0.2);
        self::assertTrue($fix['standIn']);
        $lost = $this->call('PUT', '/api/devices/receiver', ['lost' => true] + $walk);
        self::assertSame([null, 'no-signal', 0], [$lost['latitude'], $lost['because'], $lost['damaged']]);
        self::assertNull($this->call('GET', '/api/devices/gauge')['reading']);
        self::assertSame(
            [12.5, 'cm'],
            array_values(
                array_intersect_key($this->call('PUT', '/api/devices/gauge', ['reading' => 12.5, 'unit' => 'cm']), [
                    'reading' => 0,
                    'unit' => 0,
                ]),
            ),
        );
        self::assertProblem(422, '', $this->call('PUT', '/api/devices/gauge', ['reading' => -1]));
        self::assertContains('leaf-on-squares.jpg', $this->call('GET', '/api/devices/camera'));
        $this->signIn('tobias');
        self::assertSame('silent', $this->call('GET', '/api/devices/receiver')['because'], 'each has their own');
    }

    /** @return array<mixed> */
    private function send(string $query, string $bytes, string $type): array
    {
        $this->client->request(
            'POST',
            '/api/pictures?'.$query,
            server: ['CONTENT_TYPE' => $type, 'HTTP_ORIGIN' => 'http://localhost', 'HTTP_X_CSRF_TOKEN' => 'csrf-token'],
            content: $bytes,
        );
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);

        return \is_array($answer) ? $answer : [];
    }

    private function fetch(string $path): string
    {
        $this->client->request('GET', $path);
        self::assertResponseStatusCodeSame(200);

        return (string) $this->client->getResponse()->getContent();
    }

    /** A JPEG, 90 by 60, held on its side, with the place and the number of the camera: EXIF 2.3, written by hand. */
    private function withPlaceAndSerialNumber(): string
    {
        $entry = static fn (int $tag, int $type, int $count, string $value): string => pack('vvV', $tag, $type, $count).
            str_pad($value, 4, "\0");
        $serial = "SN-4711\0";
        $gps = pack('v', 2).$entry(1, 2, 2, "N\0").$entry(2, 5, 3, pack('V', 92)).pack('V', 0);
        $ifd =
            pack('v', 3).
            $entry(0x0112, 3, 1, pack('v', 6)).
            $entry(0x8825, 4, 1, pack('V', 58)).
            $entry(0xA431, 2, 8, pack('V', 50)).
            pack('V', 0);
        $tiff =
            "II*\0".
            pack('V', 8).
            $ifd.
            $serial.
            $gps.
            str_repeat("\0", 92 - 58 - \strlen($gps) > 0 ? 92 - 58 - \strlen($gps) : 0).
            pack('V6', 47, 1, 7, 1, 12, 1);
        $exif = "Exif\0\0".$tiff;
        $jpeg = self::bytes(static fn () => imagejpeg(imagecreatetruecolor(90, 60)));

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    private static function bytes(callable $write): string
    {
        ob_start();
        $write();

        return (string) ob_get_clean();
    }
}
