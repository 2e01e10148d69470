<?php

declare(strict_types=1);

namespace App\Library;

use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Document\JsonText;
use Hylognosis\Flora\FloraDocument;

/** An edition of a flora a decision was taken with, kept whole. Editions are only ever added. */
#[ORM\Entity(repositoryClass: FloraEditionRepository::class, readOnly: true)]
#[ORM\Table(name: 'flora_edition')]
class FloraEdition
{
    private const LEVELS = 64;

    /**
     * @param string $document the exchange document, deflated, as base64 text: alike on every database
     */
    private function __construct(
        #[ORM\Id]
        #[ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        #[ORM\Column(length: 40)]
        public readonly string $edition,
        #[ORM\Column(type: 'text')]
        public readonly string $document,
        #[ORM\Column]
        public readonly \DateTimeImmutable $keptAt,
    ) {
    }

    public static function of(string $name, string $edition, FloraDocument $document, \DateTimeImmutable $at): self
    {
        $json = json_encode(
            $document->content,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );

        return new self($document->hash(), $name, $edition, base64_encode((string) gzdeflate($json, 9)), $at);
    }

    /** @throws FloraRefused if it is not what was kept */
    public function unpacked(): FloraDocument
    {
        $json = @gzinflate((string) base64_decode($this->document, true));
        $content = false === $json ? null : JsonText::parse($json, self::LEVELS);
        $whole = [];
        foreach (\is_array($content) ? $content : [] as $key => $value) {
            $whole[(string) $key] = $value;
        }
        $document = new FloraDocument($whole);

        return $document->hash() === $this->hash
            ? $document
            : throw FloraRefused::because($this->name, \sprintf('edition %s is not what was kept.', $this->edition));
    }
}
