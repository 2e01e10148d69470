<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What harms, whom, and how. */
final readonly class Hazard
{
    public const VICTIMS = ['people', 'cattle', 'horses', 'sheep', 'goats', 'pigs', 'dogs', 'birds'];

    /**
     * Ways in which a mild harm meets whoever works with the plant, whatever he takes it for: a thorn, dust, hair in
     * the air.
     */
    private const WHATEVER_IT_IS_TAKEN_FOR = ['wound', 'breathing'];

    /** @param list<SourceReference> $sources */
    public function __construct(
        public string $part,
        public string $who,
        public string $way,
        public Severity $severity,
        public string $note,
        public array $sources,
    ) {
    }

    /**
     * Whether it harms a person by being taken for something else: eaten, rubbed on, burnt. What a thorn does, it does
     * to him who knows it too. Whatever is worse than mild counts, in which way it comes.
     */
    public function harmsByMistake(): bool
    {
        return 'people' === $this->who
            && ($this->severity->rank() > Severity::Mild->rank()
                || !\in_array($this->way, self::WHATEVER_IT_IS_TAKEN_FOR, true));
    }
}
