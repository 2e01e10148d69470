<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;

/** What a tree can do to animals of one kind that eat of it, as far as is known; the worst first. */
enum Peril: string
{
    case Deadly = 'deadly';
    case Serious = 'serious';
    /** Nobody knows what tree it is: it may be any. */
    case Unknown = 'unknown';
    case Mild = 'mild';
    /** Looked for and not found, or never looked for: no proof of anything. */
    case NoRecord = 'no-record';
    /** Eaten without harm, says the flora. */
    case Harmless = 'harmless';

    /** @param list<Taxon> $kinds what the tree can be; the worst of them counts, and none at all is unknown */
    public static function of(array $kinds, Animal $animal): self
    {
        $worst = self::Harmless;
        foreach ($kinds as $taxon) {
            $worst = $worst->orWorse(self::ofKind($taxon, $animal));
        }

        return [] === $kinds ? self::Unknown : $worst;
    }

    private static function ofKind(Taxon $taxon, Animal $animal): self
    {
        $told = array_filter($taxon->hazards, static fn (Hazard $h): bool => $h->who === $animal->value);
        $worst = Severity::Harmless;
        foreach ($told as $hazard) {
            $worst = Severity::worse($worst, $hazard->severity);
        }

        return match (true) {
            [] === $told => self::NoRecord,
            Severity::Deadly === $worst => self::Deadly,
            Severity::Serious === $worst => self::Serious,
            Severity::Mild === $worst => self::Mild,
            default => self::Harmless,
        };
    }

    public function orWorse(self $other): self
    {
        return $this->place() <= $other->place() ? $this : $other;
    }

    /** Whether animals have to be kept from it. What nobody has on record is not known to be spared. */
    public function calls(): bool
    {
        return self::Harmless !== $this;
    }

    /** @return int 0 for the worst */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
