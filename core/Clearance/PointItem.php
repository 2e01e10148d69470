<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Reason\Reason;

/** One line under a point: one required feature, one danger, one condition. */
final readonly class PointItem
{
    /** @param string $subject id of the character, taxon or condition it is about; `window` for that */
    public function __construct(
        public Subject $about,
        public string $subject,
        public PointStatus $status,
        public Reason $detail,
    ) {
    }

    /** @param array<string, string|int|float|bool|list<string|float>|null> $with */
    public static function ofCharacter(string $id, PointStatus $status, string $code, array $with = []): self
    {
        return new self(Subject::Character, $id, $status, new Reason($code, ['character' => $id] + $with));
    }
}
