<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;

/** Puts pictures and papers by, each once: the same picture sent twice lies there once. */
final readonly class Album
{
    private const MOST_PAPER_BYTES = 5_000_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Developing $developing,
        private SchoolClock $clock,
    ) {
    }

    /**
     * To be called in a transaction.
     *
     * @param string $bytes      as the camera sent it
     * @param bool   $paperToo   a PDF is taken as well
     * @param array{full: string, thumb: string, width: int, height: int}|null $developed where that was done before
     *
     * @throws Refused if it cannot be taken
     */
    public function put(
        string $bytes,
        ?\DateTimeImmutable $takenOn,
        User $by,
        bool $paperToo = false,
        ?array $developed = null,
    ): Picture {
        if (str_starts_with($bytes, '%PDF-')) {
            return $this->paper($bytes, $takenOn, $by, $paperToo);
        }
        $developed ??= $this->developing->develop($bytes);
        $hash = hash('sha256', $developed['full']);
        $this->keep($hash, Rendition::Full, $developed['full']);
        $this->keep($hash, Rendition::Thumbnail, $developed['thumb']);
        $picture = new Picture(
            $hash,
            'image/jpeg',
            $developed['width'],
            $developed['height'],
            \strlen($developed['full']),
            $this->day($takenOn),
            $by,
            $this->clock->now(),
        );
        $this->entities->persist($picture);

        return $picture;
    }

    /** @return string|null the bytes; null where it is not kept in that size */
    public function bytes(Picture $picture, Rendition $kind): ?string
    {
        $found = $this->entities->find(PictureBytes::class, ['hash' => $picture->hash, 'kind' => $kind]);
        $bytes = $found?->bytes;

        return \is_resource($bytes)
            ? (string) stream_get_contents($bytes, offset: 0)
            : (\is_string($bytes)
                ? $bytes
                : null);
    }

    private function paper(string $bytes, ?\DateTimeImmutable $takenOn, User $by, bool $welcome): Picture
    {
        if (!$welcome) {
            throw Refused::field('file', 'A PDF is taken as the paper of a permission only; send JPEG, PNG or WebP.');
        }
        if (\strlen($bytes) > self::MOST_PAPER_BYTES) {
            throw Refused::field('file', 'The paper has more than 5 MB. Save it smaller.');
        }
        $hash = hash('sha256', $bytes);
        $this->keep($hash, Rendition::Full, $bytes);
        $picture = new Picture(
            $hash,
            'application/pdf',
            0,
            0,
            \strlen($bytes),
            $this->day($takenOn),
            $by,
            $this->clock->now(),
        );
        $this->entities->persist($picture);

        return $picture;
    }

    private function day(?\DateTimeImmutable $takenOn): \DateTimeImmutable
    {
        $today = $this->clock->today();
        if (null !== $takenOn && $takenOn > $today) {
            throw Refused::field('takenOn', 'That day is still to come.');
        }

        return $takenOn ?? $today;
    }

    private function keep(string $hash, Rendition $kind, string $bytes): void
    {
        if (null === $this->entities->find(PictureBytes::class, ['hash' => $hash, 'kind' => $kind])) {
            $this->entities->persist(new PictureBytes($hash, $kind, $bytes));
        }
    }
}
