<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Failure\NoStrokesHeard;
use Gravik\Listening\Failure\RecordingSilent;
use Gravik\Listening\Failure\RecordingTooLong;
use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\Onset;
use Gravik\Listening\Hearing\Internal\OnsetFinder;
use Gravik\Listening\Hearing\Internal\Series;
use Gravik\Listening\Hearing\Internal\Sweep;
use Gravik\Listening\Hearing\Internal\SweepReader;
use Gravik\Listening\Hearing\Internal\TuningMeter;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Statistics;

/** Hears the strums of a recording: when each begins, how loud and how long it is, and whether it rings. */
final readonly class StrokeListener
{
    public const MOST_MINUTES = 10;

    /** Quieter than this, root mean square of the loud moments, is silence. */
    private const SILENCE = 3e-4;

    /** The attack in which a stroke is loudest, ms. */
    private const ATTACK = 50;

    /** A dead stroke has fallen this far below its beginning, in dB, when the next one comes or after a ninth of a second. */
    private const DEAD_DB = -12.0;

    /** Frames of the beginning that count: the pick's own knock, a peak of a millisecond, comes before them. */
    private const AFTER_THE_KNOCK = 5;

    private const BEGINNING = 40;

    private const LATE = 110;

    private const BEFORE_THE_NEXT = 8;

    private const LATE_SPAN = 15;

    /** So far below its beginning, in dB, a stroke has ended. */
    private const ENDED_DB = -15.0;

    /** Nepers: an attack that rises so far is plain, and one that rises no further than this is hardly one. */
    private const PLAIN_RISE = 3.0;

    private const FAINT_RISE = 1.5;

    private const LATER_AT_MOST = 8.0;

    /** The outline has one figure for so many milliseconds. */
    private const OUTLINE_FRAMES = 10;

    /**
     * @return list<HeardStroke> in order of time, those that are sure
     *
     * @throws ListeningException where nothing can be heard
     */
    public function hear(AudioSource $source): array
    {
        return array_values(array_filter(
            $this->strokes(self::envelopes($source)),
            static fn (HeardStroke $stroke): bool => $stroke->isSure(),
        ));
    }

    /**
     * The strums, those that are not sure among them, and how the recording is tuned and looks.
     *
     * @throws ListeningException where nothing can be heard
     */
    public function hearAll(AudioSource $source): Hearing
    {
        $envelopes = self::envelopes($source);
        $strokes = $this->strokes($envelopes);
        $total = $envelopes->total();
        $outline = [];
        for ($frame = 0; $frame < $envelopes->frames(); $frame += self::OUTLINE_FRAMES) {
            $outline[] = sqrt($total->loudest($frame, $frame + self::OUTLINE_FRAMES));
        }
        $loudest = max([1e-9, ...$outline]);

        $tuning = TuningMeter::measure($envelopes, $strokes);

        return new Hearing(
            $strokes,
            $tuning,
            array_map(static fn (float $level): float => $level / $loudest, $outline),
            $envelopes->frames() / Envelopes::FRAMES_A_SECOND,
            new GripEar(new SweepReader($envelopes), $tuning->cents ?? 0.0),
            new NotesEar($envelopes, $tuning->cents ?? 0.0),
        );
    }

    /** @throws ListeningException at once where the recording is longer than is heard */
    private static function envelopes(AudioSource $source): Envelopes
    {
        return $source->seconds() > 60 * self::MOST_MINUTES
            ? throw new RecordingTooLong($source->seconds() / 60, self::MOST_MINUTES)
            : Envelopes::of($source);
    }

    /** @return list<HeardStroke> */
    private function strokes(Envelopes $envelopes): array
    {
        if ($envelopes->loud() < self::SILENCE) {
            throw new RecordingSilent();
        }
        $onsets = (new OnsetFinder($envelopes))->find();
        if ($onsets === []) {
            throw new NoStrokesHeard();
        }
        $begins = array_map(static fn (Onset $onset): int => $onset->frame, $onsets);
        // What may have been a stroke ends none that is one for sure.
        $ends = self::ends($onsets, count($envelopes->total()->values));
        $energy = $envelopes->total();
        $middle = $envelopes->bands()[1];
        $peaks = [];
        foreach ($begins as $place => $begin) {
            $next = $ends[$place];
            $peaks[] = max(1e-12, $energy->loudest($begin, $begin + max(10, min($next - 5 - $begin, self::ATTACK))));
        }
        $sure = array_filter($peaks, static fn (int $place): bool => $onsets[$place]->isSure(), ARRAY_FILTER_USE_KEY);
        $usual = Statistics::median($sure === [] ? $peaks : array_values($sure));
        $sweeps = new SweepReader($envelopes);
        $strokes = [];
        foreach ($begins as $place => $begin) {
            $next = $ends[$place];
            $beginning = self::beginning($middle, $begin, $next);
            $isDead = self::isDead($middle, $begin, $next, $beginning);
            $sweep = $isDead ? null : $sweeps->read($begin / Envelopes::FRAMES_A_SECOND, $next / Envelopes::FRAMES_A_SECOND);
            $strokes[] = new HeardStroke(
                ($begin + self::moved($onsets[$place], $sweep)) / Envelopes::FRAMES_A_SECOND,
                10 * log10($peaks[$place] / $usual),
                self::lasts($middle, $begin, $next, $beginning) / Envelopes::FRAMES_A_SECOND,
                $isDead,
                $sweep?->direction,
                $onsets[$place]->plain,
            );
        }

        return $strokes;
    }

    /**
     * @param list<Onset> $onsets
     * @param int         $last   frame of the recording
     *
     * @return list<int> the frame at which each gives way to the next
     */
    private static function ends(array $onsets, int $last): array
    {
        $ends = [];
        foreach ($onsets as $place => $onset) {
            $next = $place + 1;
            while ($onset->isSure() && isset($onsets[$next]) && ! $onsets[$next]->isSure()) {
                $next++;
            }
            $ends[] = isset($onsets[$next]) ? $onsets[$next]->frame : $last;
        }

        return $ends;
    }

    /**
     * A low string sounds soft at first, and under a chord that rings on its attack is not heard: there the partials say when
     * the strum began. A plain attack is right to the millisecond, and keeps its word.
     *
     * @return float ms, + is later than the attack was heard
     */
    private static function moved(Onset $onset, ?Sweep $sweep): float
    {
        if ($sweep === null) {
            return 0.0;
        }
        $doubt = max(0.0, min(1.0, (self::PLAIN_RISE - $onset->rise) / (self::PLAIN_RISE - self::FAINT_RISE)));
        if ($sweep->firstMs > 0) {
            return min(0.5 * $sweep->firstMs, self::LATER_AT_MOST) * max(0.0, 1 - $onset->rise / self::FAINT_RISE);
        }

        return $sweep->direction === null ? 0.0 : $sweep->firstMs * $doubt;
    }

    /**
     * How loud a stroke begins, right after the knock of the pick.
     *
     * @param Series $middle the energy between the body's boom and the pick's noise: hum and a chord's low end hide no end there
     */
    private static function beginning(Series $middle, int $begin, int $next): float
    {
        $half = intdiv(min($next - self::BEFORE_THE_NEXT - $begin, self::LATE), 2);

        return $middle->mean($begin + self::AFTER_THE_KNOCK, $begin + min(self::BEGINNING, max(2 * self::AFTER_THE_KNOCK, $half)));
    }

    private static function isDead(Series $middle, int $begin, int $next, float $beginning): bool
    {
        $until = $begin + min($next - self::BEFORE_THE_NEXT - $begin, self::LATE);

        return self::decibels($middle->mean(max($begin, $until - self::LATE_SPAN), $until), $beginning) < self::DEAD_DB;
    }

    private static function decibels(float $energy, float $against): float
    {
        return 10 * log10(max(1e-12, $energy) / max(1e-12, $against));
    }

    /** @return int frames until ten in a row lie so far below the beginning that it has ended */
    private static function lasts(Series $middle, int $begin, int $next, float $beginning): int
    {
        $ended = max(1e-12, $beginning) * 10 ** (self::ENDED_DB / 10);
        $quiet = 0;
        for ($frame = $begin + 1; $frame < $next; $frame++) {
            $quiet = ($middle->values[$frame] ?? 0.0) < $ended ? $quiet + 1 : 0;
            if ($quiet === 10) {
                return max(1, $frame - 9 - $begin);
            }
        }

        return max(1, $next - $begin);
    }
}
