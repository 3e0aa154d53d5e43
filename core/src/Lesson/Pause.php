<?php

declare(strict_types=1);

namespace Gravik\Lesson;

/** Why a ladder does not go on by itself after a cycle. */
enum Pause: string
{
    /** The minutes planned are over. */
    case Over = 'over';

    /** The hands have played for so long that a rest is proposed. */
    case Rest = 'rest';

    /** Somebody asks whether the hand is still loose. */
    case Tension = 'tension';

    private const ASKED_EVERY = 6;

    /**
     * @param int   $cycles    played so far
     * @param float $played    seconds of playing so far
     * @param float $rested    seconds of playing after which the last rest was taken
     * @param float $minutes   that the ladder is to take
     * @param float $restAfter minutes of playing in a row
     */
    public static function after(int $cycles, float $played, float $rested, float $minutes, float $restAfter): ?self
    {
        return match (true) {
            $cycles === 0 => null,
            $played >= 60 * $minutes => self::Over,
            $played - $rested >= 60 * $restAfter => self::Rest,
            $cycles % self::ASKED_EVERY === 0 => self::Tension,
            default => null,
        };
    }
}
