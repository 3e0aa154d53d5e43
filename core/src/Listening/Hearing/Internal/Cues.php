<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * What speaks for a strum to begin, moment by moment: that the sound leaves what was foretold, at once and over the attack,
 * that enough comes anew into it, and that another sound is left behind. The figures were set on takes made in several ways, see
 * docs/decisions.
 *
 * @internal used by OnsetFinder
 */
final readonly class Cues
{
    /** Nepers of energy by which the first moments of a beginning rise above what was left over before, at least. */
    private const LEAST_RISE = 0.4;

    /** Rises this near, ms, are of one string. */
    private const APART = 20;

    /** The rise of a candidate is the greatest so many ms before and after it. */
    private const RISE_BEFORE = 4;

    private const RISE_AFTER = 8;

    /** Peaks of the novelty from this share of what a loud stroke brings are looked at; of those within so many steps the greatest. */
    private const LEAST_NOVELTY = 0.05;

    private const STEPS_APART = 5;

    /** A peak of the novelty this near a rise, ms, is that rise. */
    private const SAME = 35;

    /** What each cue counts, in nepers. */
    private const RISE_COUNTS = 0.22;

    private const ATTACK_COUNTS = 0.72;

    private const NOVELTY_COUNTS = 1.25;

    private const CHANGE_COUNTS = 0.96;

    /** A rise that is plainer than this is no plainer for it. */
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

    /** Milliseconds before and after a moment whose sound is held against each other, and those before them. */
    private const BEFORE = [-24, -4];

    private const AFTER = [26, 46];

    private const EARLIER = [-64, -44];

    /** The same of the first moments, and of the attack: ms after, left out before, and before those. */
    private const MOMENT = [3, 2, 32];

    private const ATTACK = [14, 3, 40];

    /** The novelty of a candidate is the greatest of so many steps before and after it. */
    private const NOVELTY_BEFORE = 1;

    private const NOVELTY_AFTER = 3;

    /** Nothing is foretold better than this share of what the loud moments leave over. */
    private const FLOOR = 1e-6;

    private const LOUD = 0.98;

    /** Before a recording begins it was as quiet as in its quiet moments: that it begins is no stroke. */
    private const QUIET = 0.25;

    public Series $innovation;

    /** @var list<float> nepers by which the next moments rise above what was left over before, frame by frame */
    public array $rises;

    private float $floor;

    private float $quiet;

    /** @param list<float> $novelty step by step */
    private function __construct(private Envelopes $envelopes, private array $novelty)
    {
        $this->innovation = Innovation::of($envelopes);
        $this->floor = self::FLOOR * $this->innovation->quantile(self::LOUD) + 1e-9;
        $this->quiet = $this->innovation->quantile(self::QUIET);
        $rises = [];
        for ($frame = 0, $frames = count($this->innovation->values); $frame < $frames; $frame++) {
            $rises[] = $this->rise($frame, self::MOMENT);
        }
        $this->rises = $rises;
    }

    /** @return ?self null in mere noise, where nothing begins */
    public static function of(Envelopes $envelopes): ?self
    {
        $novelty = Novelty::of($envelopes);

        return $novelty === null ? null : new self($envelopes, $novelty->values);
    }

    /** The greatest rise between two frames, both included; 0 where there is none. */
    public function greatestRise(int $from, int $to): float
    {
        return max([0.0, ...array_slice($this->rises, max(0, $from), $to - max(0, $from) + 1)]);
    }

    /** @return array<int, float> frame => how plainly a strum may begin there, in nepers */
    public function scores(): array
    {
        $scores = [];
        foreach ($this->candidates() as $frame) {
            $step = intdiv($frame, Novelty::STEP_MS);
            $first = max(0, $step - self::NOVELTY_BEFORE);
            $new = max([0.0, ...array_slice($this->novelty, $first, $step + self::NOVELTY_AFTER + 1 - $first)]);
            $rise = $this->greatestRise($frame - self::RISE_BEFORE, $frame + self::RISE_AFTER);
            $scores[$frame] = self::RISE_COUNTS * min(self::PLAIN, $rise)
                + self::ATTACK_COUNTS * min(self::PLAIN, $this->rise($frame, self::ATTACK))
                + self::NOVELTY_COUNTS * log($new + self::NOTHING)
                + self::CHANGE_COUNTS * log(self::NO_CHANGE + min(self::CHANGE_AT_MOST, $this->change($frame)));
        }

        return $scores;
    }

    /** @param array{int, int, int} $spans ms after, ms left out before, ms before those */
    private function rise(int $frame, array $spans): float
    {
        [$after, $gap, $before] = $spans;

        $earlier = $this->innovation->mean($frame - $before, $frame - $gap);

        return log(($this->innovation->mean($frame, $frame + $after) + $this->floor)
            / (($frame < $before ? max($this->quiet, $earlier) : $earlier) + $this->floor));
    }

    /** @return list<int> frames */
    private function candidates(): array
    {
        $frames = self::peaks($this->rises, self::LEAST_RISE, self::APART);
        $near = [];
        foreach ($frames as $frame) {
            for ($about = -1; $about <= 1; $about++) {
                $near[intdiv($frame, self::SAME) + $about][] = $frame;
            }
        }
        $others = [];
        foreach (self::peaks($this->novelty, self::LEAST_NOVELTY, self::STEPS_APART) as $step) {
            $frame = $step * Novelty::STEP_MS;
            $same = array_filter(
                $near[intdiv($frame, self::SAME)] ?? [],
                static fn (int $other): bool => abs($other - $frame) < self::SAME,
            );
            if ($same === [] && $frame < count($this->rises)) {
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
    public static function peaks(array $values, float $least, int $apart): array
    {
        $peaks = [];
        foreach ($values as $place => $value) {
            if ($value >= $least && $value >= max([$value, ...array_slice($values, max(0, $place - $apart), 2 * $apart + 1)])) {
                $peaks[] = $place;
            }
        }

        return $peaks;
    }

    /**
     * How much another sound stands after this moment than before it: a click over a ringing chord leaves it as it was, and
     * what only dies away goes on as it did. Each band counts in units of a change that is plain.
     */
    private function change(int $frame): float
    {
        $goesOn = self::grows($this->envelopes->total(), $frame, self::AFTER, self::BEFORE, 1e-12) > -self::ENDS;
        $change = 0.0;
        foreach ($this->envelopes->bands() as $band) {
            $floor = 1e-3 * $band->loudest($frame - 200, $frame + 200) + 1e-15;
            $nepers = self::grows($band, $frame, self::AFTER, self::BEFORE, $floor);
            $before = self::FALLS_FASTER * self::grows($band, $frame, self::BEFORE, self::EARLIER, $floor);
            $falling = max(-self::FALLS_BY_ITSELF, min(0.0, $before));
            $change += match (true) {
                $nepers >= 0 => $nepers / self::RISES,
                $goesOn => max(0.0, $falling - $nepers) / self::FALLS,
                default => 0.0,
            };
        }

        return $change;
    }

    /**
     * @param array{int, int} $after  ms from the frame, first and last
     * @param array{int, int} $before the same
     *
     * @return float nepers of energy by which the one stands above the other
     */
    private static function grows(Series $energy, int $frame, array $after, array $before, float $floor): float
    {
        return log(($energy->mean($frame + $after[0], $frame + $after[1]) + $floor)
            / ($energy->mean($frame + $before[0], $frame + $before[1]) + $floor));
    }
}
