<?php

declare(strict_types=1);

namespace App\Keeping;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonText;
use Hylognosis\Document\Node;

/** What must be in a copy. */
final readonly class Manifest
{
    /**
     * @param string              $engine   version of the engine that made it
     * @param list<string>        $versions steps of the database it has gone through
     * @param array<string, int>  $rows     by table
     * @param int                 $bytes    of the database
     * @param string              $sha256   of the database
     * @param int                 $decision number of the last decision in the chain, 0 where there is none
     * @param string              $chain    its hash
     */
    public function __construct(
        public \DateTimeImmutable $madeAt,
        public string $engine,
        public array $versions,
        public array $rows,
        public int $bytes,
        public string $sha256,
        public int $decision,
        public string $chain,
    ) {
    }

    public function write(): string
    {
        return json_encode(
            [
                'format' => Copies::FORMAT,
                'made_at' => $this->madeAt->format(\DateTimeInterface::RFC3339),
                'engine' => $this->engine,
                'versions' => $this->versions,
                'rows' => $this->rows,
                'bytes' => $this->bytes,
                'sha256' => $this->sha256,
                'decision' => $this->decision,
                // where nothing was decided yet there is none
                'chain' => '' === $this->chain ? null : $this->chain,
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /** @throws CopyFailed if it is no manifest of a copy */
    public static function read(string $text): self
    {
        try {
            $node = Node::root(JsonText::parse($text, 8));
            $madeAt = \DateTimeImmutable::createFromFormat(\DateTimeInterface::RFC3339, $node->text('made_at'));
            if (Copies::FORMAT !== $node->text('format') || false === $madeAt) {
                throw new CopyFailed(\sprintf('It is no copy of the form %s.', Copies::FORMAT));
            }

            return new self(
                $madeAt,
                $node->text('engine'),
                $node->texts('versions'),
                array_map(static fn (Node $n): int => (int) $n->asNumber(0, 1e12), $node->entries('rows')),
                (int) $node->number('bytes', 0, 1e15),
                $node->text('sha256'),
                $node->integer('decision', 0, \PHP_INT_MAX),
                $node->optionalText('chain'),
            );
        } catch (DocumentError $error) {
            throw new CopyFailed('It has no manifest that can be read: '.$error->getMessage());
        }
    }
}
