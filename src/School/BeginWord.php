<?php

declare(strict_types=1);

namespace App\School;

use App\Storage\SettingRepository;
use App\Storage\Transaction;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The word that guards the first page: whoever can read the server's own output may make the first instructor. It works
 * once and for a day; only its hash is kept.
 */
final readonly class BeginWord
{
    public const HOURS = 24;
    private const SETTING = 'begin-word';
    /** Letters nobody takes for one another: four groups of four, some 70 bits. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz';

    public function __construct(
        private SettingRepository $settings,
        private Transaction $transaction,
        #[Autowire(service: 'clock')] private ClockInterface $clock,
    ) {
    }

    /** A new word; the one before works no more. */
    public function make(): string
    {
        $letters = '';
        for ($i = 0; $i < 16; ++$i) {
            $letters .= self::LETTERS[random_int(0, \strlen(self::LETTERS) - 1)];
        }
        $until = $this->clock->now()->getTimestamp() + self::HOURS * 3600;
        $this->transaction->run(fn () => $this->settings->put(self::SETTING, $until.' '.hash('sha256', $letters)));

        return implode('-', str_split($letters, 4));
    }

    public function isRight(string $word): bool
    {
        [$until, $hash] = explode(' ', $this->settings->value(self::SETTING) ?? '0 ');
        $letters = (string) preg_replace('/[^a-z]/', '', strtolower($word));

        return hash_equals($hash, hash('sha256', $letters)) && (int) $until > $this->clock->now()->getTimestamp();
    }

    /** To be called in the transaction that uses it. */
    public function spend(): void
    {
        $this->settings->put(self::SETTING, '0 ');
    }
}
