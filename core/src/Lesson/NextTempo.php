<?php

declare(strict_types=1);

namespace Gravik\Lesson;

/** At which tempo of its ladder a stage is played next, from how it went the last times. */
final readonly class NextTempo
{
    /** @param int $tempo beats a minute */
    private function __construct(public int $tempo, public string $words) {}

    /**
     * Two clean takes in a row at one tempo climb, two that are not drop a step, as on a gated ladder.
     *
     * @param non-empty-list<int> $tempos of the ladder, the slowest first
     * @param list<array{tempo: float, passed: bool}> $takes the newest first; two are looked at
     * @param bool $climbs false on a day on which the hand hurts
     */
    public static function after(array $tempos, array $takes, bool $climbs = true): self
    {
        [$last, $before] = [$takes[0] ?? null, $takes[1] ?? null];
        if ($last === null) {
            return new self($tempos[0], "Begin at {$tempos[0]}.");
        }
        $step = self::stepOf($tempos, $last['tempo']);
        $here = $tempos[$step];
        $twice = $before !== null && $before['passed'] === $last['passed'] && self::stepOf($tempos, $before['tempo']) === $step;

        return match (true) {
            $last['passed'] && $step === count($tempos) - 1 => new self($here, "Clean at {$here}, the goal of this ladder."),
            $last['passed'] && ! $climbs => new self($here, "Clean at {$here}. Your hand hurts today, so it stays there."),
            $last['passed'] && $twice => new self($tempos[$step + 1], "Clean twice at {$here}: on to {$tempos[$step + 1]}."),
            $last['passed'] => new self($here, "Clean once at {$here}: once more, and it climbs to {$tempos[$step + 1]}."),
            $twice && $step > 0 => new self($tempos[$step - 1], "Twice not clean at {$here}: back to {$tempos[$step - 1]}."),
            default => new self($here, "Not clean yet at {$here}: once more."),
        };
    }

    /** @param non-empty-list<int> $tempos */
    private static function stepOf(array $tempos, float $tempo): int
    {
        $step = 0;
        foreach ($tempos as $place => $each) {
            if ($each <= round($tempo)) {
                $step = $place;
            }
        }

        return $step;
    }
}
