<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * Finds where strums begin. Wherever the sound leaves what was foretold, or enough comes anew into it, one may begin; how
 * plainly is told by both together. Of what lies within one sweep of the pick the plainest is kept, and where the plain ones
 * end and the rest begins is seen in each recording. A strum begins, to the millisecond, where its first string breaks off what
 * was foretold. The figures were set on takes made in several ways, see docs/decisions.
 *
 * @internal used by StrokeListener
 */
final readonly class OnsetFinder
{
    /** Nepers of energy by which the first moments of a beginning rise above what was left over before, at least. */
    private const LEAST_RISE = 0.4;

    /** Rises this near, ms, are of one string. */
    private const APART = 20;

    /** Peaks of the novelty from this share of what a loud stroke brings are looked at; of those within so many steps the greatest. */
    private const LEAST_NOVELTY = 0.05;

    private const STEPS_APART = 5;

    /** A peak of the novelty this near a rise, ms, is that rise. */
    private const SAME = 35;

    /** What each cue counts, in nepers: the first moments, the whole attack, how much comes anew, and that another sound is left behind. */
    private const RISE_COUNTS = 0.22;

    private const ATTACK_COUNTS = 0.72;

    private const NOVELTY_COUNTS = 1.25;

    private const CHANGE_COUNTS = 0.96;

    /** A cue that is plainer than this is no plainer for it. */
    private const PLAIN = 2.0;

    /** Below this share of a loud stroke's novelty all is nothing; and below this change. */
    private const NOTHING = 0.02;

    private const NO_CHANGE = 0.1;

    private const CHANGE_AT_MOST = 8.0;

    /** A band that rises by so many nepers of energy, or falls by so many more than it was falling, is different. */
    private const RISES = 0.3;

    private const FALLS = 1.5;

    /** What rings on goes on falling a little faster than before, and by this much at most. */
    private const FALLS_FASTER = 1.25;

    private const FALLS_BY_ITSELF = 1.0;

    /** What falls by more nepers than this ends, and nothing has begun. */
    private const ENDS = 3.8;

    /** Milliseconds that are held against each other: of the first moments, and of the attack. */
    private const MOMENT = [3, 2, 32];

    private const ATTACK = [14, 3, 40];

    /** The novelty of a candidate is the greatest of so many steps before and after it. */
    private const NOVELTY_BEFORE = 1;

    private const NOVELTY_AFTER = 3;

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

    /** Nothing is foretold better than this share of what the loud moments leave over. */
    private const FLOOR = 1e-6;

    private const LOUD = 0.98;

    private Series $innovation;

    private float $floor;

    public function __construct(private Envelopes $envelopes)
    {
        $this->innovation = Innovation::of($envelopes);
        $this->floor = self::FLOOR * $this->innovation->quantile(self::LOUD) + 1e-9;
    }

    /** @return list<Onset> where each strum begins, and where one may have begun that hardly stands out */
    public function find(): array
    {
        $novelty = Novelty::of($this->envelopes)?->values;
        if ($novelty === null) {
            return [];
        }
        $rises = $this->rises();
        $kept = self::plainest($this->scores($novelty, $rises));
        $begins = self::between($kept);
        $onsets = [];
        foreach ($kept as $frame => $score) {
            if ($score >= $begins - self::MAY_BE) {
                $first = $this->left(self::first($rises, $frame));
                $onsets[] = new Onset($first, max(0.0, ...array_slice($rises, max(0, $first - 3), 16)), $score - $begins);
            }
        }

        return $onsets;
    }

    /** @return list<float> nepers by which the next moments rise above what was left over before, frame by frame */
    private function rises(): array
    {
        $rises = [];
        foreach ($this->innovation->values as $frame => $_) {
            $rises[] = $this->rise($frame, self::MOMENT);
        }

        return $rises;
    }

    /** @param array{int, int, int} $spans ms after, ms left out before, ms before those */
    private function rise(int $frame, array $spans): float
    {
        [$after, $gap, $before] = $spans;

        return log(($this->innovation->mean($frame, $frame + $after) + $this->floor)
            / ($this->innovation->mean($frame - $before, $frame - $gap) + $this->floor));
    }

    /**
     * @param list<float> $novelty
     * @param list<float> $rises
     *
     * @return array<int, float> frame => how plainly a strum may begin there
     */
    private function scores(array $novelty, array $rises): array
    {
        $scores = [];
        foreach ($this->candidates($novelty, $rises) as $frame) {
            $step = intdiv($frame, Novelty::STEP_MS);
            $new = max(0.0, ...array_slice($novelty, max(0, $step - self::NOVELTY_BEFORE), 1 + self::NOVELTY_BEFORE + self::NOVELTY_AFTER));
            $scores[$frame] = self::RISE_COUNTS * min(self::PLAIN, max(array_slice($rises, max(0, $frame - 4), 13)))
                + self::ATTACK_COUNTS * min(self::PLAIN, $this->rise($frame, self::ATTACK))
                + self::NOVELTY_COUNTS * log($new + self::NOTHING)
                + self::CHANGE_COUNTS * log(self::NO_CHANGE + min(self::CHANGE_AT_MOST, $this->change($frame)));
        }

        return $scores;
    }

    /**
     * How much another sound stands after this moment than before it: a click over a ringing chord leaves it as it was, and
     * what only dies away goes on as it did. Each band counts in units of a change that is plain.
     */
    private function change(int $frame): float
    {
        $goesOn = $this->grows($this->envelopes->total(), $frame, 1e-12) > -self::ENDS;
        $change = 0.0;
        foreach ($this->envelopes->bands() as $band) {
            $floor = 1e-3 * $band->loudest($frame - 200, $frame + 200) + 1e-15;
            $nepers = $this->grows($band, $frame, $floor);
            $falling = max(
                -self::FALLS_BY_ITSELF,
                min(0.0, self::FALLS_FASTER * log(($band->mean($frame - 24, $frame - 4) + $floor) / ($band->mean($frame - 64, $frame - 44) + $floor))),
            );
            $change += match (true) {
                $nepers >= 0 => $nepers / self::RISES,
                $goesOn => max(0.0, $falling - $nepers) / self::FALLS,
                default => 0.0,
            };
        }

        return $change;
    }

    /** @return float nepers of energy by which what is left after a moment stands above what was before it */
    private function grows(Series $energy, int $frame, float $floor): float
    {
        return log(($energy->mean($frame + 26, $frame + 46) + $floor) / ($energy->mean($frame - 24, $frame - 4) + $floor));
    }

    /**
     * @param list<float> $novelty
     * @param list<float> $rises
     *
     * @return list<int> frames
     */
    private function candidates(array $novelty, array $rises): array
    {
        $frames = self::peaks($rises, self::LEAST_RISE, self::APART);
        $near = [];
        foreach ($frames as $frame) {
            for ($about = -1; $about <= 1; $about++) {
                $near[intdiv($frame, self::SAME) + $about][] = $frame;
            }
        }
        $others = [];
        foreach (self::peaks($novelty, self::LEAST_NOVELTY, self::STEPS_APART) as $step) {
            $frame = $step * Novelty::STEP_MS;
            $same = array_filter(
                $near[intdiv($frame, self::SAME)] ?? [],
                static fn (int $other): bool => abs($other - $frame) < self::SAME,
            );
            if ($same === [] && $frame < count($rises)) {
                $others[] = $frame;
            }
        }

        return [...$frames, ...$others];
    }

    /**
     * @param list<float> $values
     *
     * @return list<int> places of values that are no less than the least, and than any so near
     */
    private static function peaks(array $values, float $least, int $apart): array
    {
        $peaks = [];
        foreach ($values as $place => $value) {
            if ($value >= $least && $value >= max(array_slice($values, max(0, $place - $apart), 2 * $apart + 1))) {
                $peaks[] = $place;
            }
        }

        return $peaks;
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
     * Where the first string of a strum was struck, if that was not the plainest one.
     *
     * @param list<float> $rises
     */
    private static function first(array $rises, int $frame): int
    {
        for ($best = $frame, $near = max(0, $frame - 14); $near <= $frame + 9 && isset($rises[$near]); $near++) {
            $best = $rises[$near] > $rises[$best] ? $near : $best;
        }
        $least = max(self::BEGAN_LEAST, self::BEGAN * min(self::BEGAN_AT_MOST, $rises[$best]));
        for ($early = max(0, $best - self::BEGAN_WITHIN); $early < $best; $early++) {
            if ($rises[$early] >= $least) {
                while ($early < $best && $rises[$early + 1] > $rises[$early]) {
                    $early++;
                }

                return $early;
            }
        }

        return $best;
    }

    /** An attack that takes its time rises most when it is half over: it began where it left what sounded before. */
    private function left(int $frame): int
    {
        $before = $this->innovation->mean($frame - 2 * self::SLOW_ATTACK, $frame - self::SLOW_ATTACK);
        $left = $before + self::AUDIBLE * ($this->innovation->loudest($frame, $frame + self::SLOW_ATTACK + 1) - $before);
        $begin = $frame;
        while ($begin > max(0, $frame - self::SLOW_ATTACK) && $this->innovation->values[$begin - 1] > $left) {
            $begin--;
        }

        return $begin;
    }
}
