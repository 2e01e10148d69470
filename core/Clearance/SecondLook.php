<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Examination;
use Hylognosis\Identification\Identification;

/** Another examiner's examination of the same specimen. */
final readonly class SecondLook
{
    /** Fewer scores than these can be alike by chance. */
    private const TELLING = 3;

    /**
     * @param bool   $blind        the second examiner had seen neither the first one's scores nor the hope
     * @param string $person       who; empty where nobody says
     * @param bool   $reconsidered its examiner has taken the conclusion back, on record: it counts neither for nor
     *                             against
     */
    public function __construct(
        public Identification $identification,
        public bool $blind,
        public string $person = '',
        public bool $reconsidered = false,
    ) {
    }

    /** Whether these are the first examiner's scores over again, to the last twig: then nobody looked a second time. */
    public function isACopyOf(Examination $first): bool
    {
        $own = self::told($this->identification->examination);

        return \count($own) >= self::TELLING && $own === self::told($first);
    }

    /** @return list<string> */
    private static function told(Examination $examination): array
    {
        $told = [];
        foreach ($examination->findings as $id => $finding) {
            foreach ($finding->all as $o) {
                $told[] = implode('|', [
                    $id,
                    implode(',', $o->values()),
                    (int) $o->either,
                    $o->certainty->value,
                    $o->samples,
                    $o->where->value,
                    $o->position->value,
                    $o->look->at?->getTimestamp() ?? '',
                ]);
            }
        }
        sort($told);

        return $told;
    }
}
