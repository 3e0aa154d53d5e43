<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

use Gravik\Lesson\Failure\LoudnessOutOfRange;

/**
 * How much of what ears may take in a day is used up. Advice: local rules and hearing specialists come first.
 *
 * The time allowed at L dB(A) is 8 h / 2^((L − 85) / 3), the exchange rate of 3 dB.
 */
final readonly class HearingDose
{
    private const HOURS = 8.0;

    private const LIMIT = 85.0;

    private const EXCHANGE = 3.0;

    /** Rough levels in dB(A) for who has no meter. */
    public const PRESETS = ['unplugged' => 72.0, 'small amplifier' => 85.0, 'band in a room' => 97.0];

    /** dB(A) until somebody says otherwise. */
    public const USUAL = self::PRESETS['small amplifier'];

    /** @param float $share of a day's, 1 = all of it */
    private function __construct(public float $share) {}

    public static function none(): self
    {
        return new self(0.0);
    }

    /**
     * @param float $level dB(A), 40 to 130
     *
     * @return float minutes a day
     *
     * @throws LoudnessOutOfRange
     */
    public static function allowedMinutes(float $level): float
    {
        if ($level < 40 || $level > 130) {
            throw new LoudnessOutOfRange($level);
        }

        return 60 * self::HOURS / 2 ** (($level - self::LIMIT) / self::EXCHANGE);
    }

    /** @throws LoudnessOutOfRange */
    public function after(float $minutes, float $level): self
    {
        return new self($this->share + $minutes / self::allowedMinutes($level));
    }

    /** Minutes left today at a level; 0 where the day's is used up. */
    public function minutesLeft(float $level): float
    {
        return max(0.0, (1 - $this->share) * self::allowedMinutes($level));
    }
}
