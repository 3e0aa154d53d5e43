<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * Finds where strums begin. Of what lies within one sweep of the pick the plainest is kept, and where the plain ones end and
 * the rest begins is seen in each recording. A strum begins, to the millisecond, where its first string breaks off what was
 * foretold.
 *
 * @internal used by StrokeListener
 */
final readonly class OnsetFinder
{
    /** About so plain, and so much more or less, is a beginning: in each recording, where there are fewest that are as plain. */
    private const BEGINS = -1.0;

    private const BEGINS_WITHIN = 3.0;

    private const BEGINS_STEP = 0.15;

    /** Candidates so much plainer or less so count, the more the nearer; and each neper above or below the usual costs so much of all. */
    private const NEAR = 0.4;

    private const UNUSUALLY_PLAIN = 0.05;

    private const UNUSUALLY_FAINT = 0.03;

    /** What is so much less plain may be one: it is told where nothing surer is near. */
    private const MAY_BE = 1.5;

    /** The pick takes no longer through the strings, ms; what begins within that is the same strum. */
    private const SWEEP = 62;

    /** So long after one that is plainer by so many nepers, ms, what wavers is its wake. */
    private const WAKE = 100;

    private const WAKE_BELOW = 4.0;

    /** A string struck before the plainest one rises by this share of it, and by so many nepers, at least; and so long before at most. */
    private const BEGAN = 0.4;

    private const BEGAN_LEAST = 0.3;

    private const BEGAN_AT_MOST = 5.0;

    private const BEGAN_WITHIN = 38;

    /** An attack that takes its time, ms, began where so much of it stood above what was left over before. */
    private const SLOW_ATTACK = 9;

    private const AUDIBLE = 0.02;

    /** The plainest string lies so many ms before the candidate at most, and after it. */
    private const PLAINEST_BEFORE = 14;

    private const PLAINEST_AFTER = 9;

    /** An attack is as sharp as the greatest rise so many ms around its beginning. */
    private const SHARP_BEFORE = 3;

    private const SHARP_AFTER = 12;

    /** Beside the click of a metronome a string rises by so many nepers at least; a click alone is so much less plain than it seems. */
    private const BESIDE_A_CLICK = 1.0;

    private const CLICK_ALONE = 1.5;

    public function __construct(private Envelopes $envelopes) {}

    /** @return list<Onset> where each strum begins, and where one may have begun that hardly stands out */
    public function find(): array
    {
        $cues = Cues::of($this->envelopes);
        if ($cues === null) {
            return [];
        }
        $kept = self::plainest($cues->scores());
        $begins = self::between($kept);
        $rises = $cues->rises;
        $metronome = Metronome::among($rises, array_keys(array_filter($kept, static fn (float $score): bool => $score >= $begins)));
        $strings = $metronome?->takenOutOf($rises) ?? $rises;
        $onsets = [];
        foreach ($kept as $frame => $score) {
            $beside = $strings[$frame] === $rises[$frame] ? $frame : self::besideAClick($strings, $frame);
            $score -= $beside === null ? self::CLICK_ALONE : 0.0;
            if ($score >= $begins - self::MAY_BE) {
                // None reaches back over the one before it.
                $after = $onsets === [] ? 0 : $onsets[count($onsets) - 1]->frame + 1;
                $string = $beside === null ? self::first($rises, $frame) : self::first($strings, $beside);
                $first = max($after, self::left($cues->innovation, $string));
                $onsets[] = new Onset(
                    $first,
                    $cues->greatestRise($first - self::SHARP_BEFORE, $first + self::SHARP_AFTER),
                    $score - $begins,
                );
            }
        }

        return $onsets;
    }

    /**
     * @param array<int, float> $scores by frame
     *
     * @return array<int, float> those without a plainer one within a sweep, nor in the wake of one, in order of time
     */
    private static function plainest(array $scores): array
    {
        arsort($scores);
        $kept = [];
        $taken = [];
        foreach ($scores as $frame => $score) {
            $cell = intdiv($frame, self::WAKE);
            foreach ([...$taken[$cell - 1] ?? [], ...$taken[$cell] ?? [], ...$taken[$cell + 1] ?? []] as $other) {
                $since = $frame - $other;
                if (abs($since) < self::SWEEP || ($since > 0 && $since < self::WAKE && $kept[$other] - $score > self::WAKE_BELOW)) {
                    continue 2;
                }
            }
            $kept[$frame] = $score;
            $taken[$cell][] = $frame;
        }
        ksort($kept);

        return $kept;
    }

    /**
     * From where on one is a beginning: where fewest are as plain, between the strokes and what wavers as it rings.
     *
     * @param array<int, float> $scores
     */
    private static function between(array $scores): float
    {
        $best = self::BEGINS;
        $fewest = INF;
        for ($least = self::BEGINS - self::BEGINS_WITHIN; $least <= self::BEGINS + self::BEGINS_WITHIN; $least += self::BEGINS_STEP) {
            $near = array_sum(array_map(
                static fn (float $score): float => exp(-(($score - $least) / self::NEAR) ** 2 / 2),
                $scores,
            )) / max(1, count($scores));
            $cost = $near + max(self::UNUSUALLY_PLAIN * ($least - self::BEGINS), self::UNUSUALLY_FAINT * (self::BEGINS - $least));
            if ($cost < $fewest) {
                [$fewest, $best] = [$cost, $least];
            }
        }

        return $best;
    }

    /**
     * The plainest string that is struck about when a metronome clicks.
     *
     * @param array<int, float> $strings rises without the clicks
     */
    private static function besideAClick(array $strings, int $click): ?int
    {
        $plainest = self::highest($strings, $click, self::BEGAN_WITHIN);

        return $strings[$plainest] >= self::BESIDE_A_CLICK ? $plainest : null;
    }

    /**
     * Where the first string of a strum was struck, if that was not the plainest one.
     *
     * @param array<int, float> $rises
     */
    private static function first(array $rises, int $frame): int
    {
        $plainest = self::highest($rises, $frame, self::PLAINEST_AFTER);
        $least = max(self::BEGAN_LEAST, self::BEGAN * min(self::BEGAN_AT_MOST, $rises[$plainest]));
        for ($early = max(0, $plainest - self::BEGAN_WITHIN); $early < $plainest; $early++) {
            if ($rises[$early] >= $least) {
                while ($early < $plainest && $rises[$early + 1] > $rises[$early]) {
                    $early++;
                }

                return $early;
            }
        }

        return $plainest;
    }

    /**
     * Where the plainest string near a candidate is.
     *
     * @param array<int, float> $rises
     * @param int               $after ms after it that are looked at
     */
    private static function highest(array $rises, int $frame, int $after): int
    {
        $highest = $frame;
        for ($near = max(0, $frame - self::PLAINEST_BEFORE); $near <= $frame + $after && isset($rises[$near]); $near++) {
            $highest = $rises[$near] > $rises[$highest] ? $near : $highest;
        }

        return $highest;
    }

    /** An attack that takes its time rises most when it is half over: it began where it left what sounded before. */
    private static function left(Series $innovation, int $frame): int
    {
        $before = $innovation->mean($frame - 2 * self::SLOW_ATTACK, $frame - self::SLOW_ATTACK);
        $left = $before + self::AUDIBLE * ($innovation->loudest($frame, $frame + self::SLOW_ATTACK + 1) - $before);
        $begin = $frame;
        while ($begin > max(0, $frame - self::SLOW_ATTACK) && $innovation->values[$begin - 1] > $left) {
            $begin--;
        }

        return $begin;
    }
}
