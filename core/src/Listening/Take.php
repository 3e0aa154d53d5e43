<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Performance\Timeline;
use Gravik\Strokes\Direction;
use Gravik\Time\Ruler;

/** Taps played along to the band, in order of time. */
final readonly class Take
{
    private const MOST_TAPS = 20_000;

    private const LONGEST_SECONDS = 3600;

    /**
     * @param list<Tap> $taps     in order of time
     * @param bool      $anchored whether it is known where the band's first beat lay, so that a bias means something
     */
    private function __construct(public array $taps, public bool $anchored = true) {}

    /**
     * Reads {"taps": [{"t": 1.234, "key"?: "down"|"up", "dead"?: true}]} or a list of seconds.
     *
     * @param float $firstBeat where bar 1 beat 1 lies in the take, seconds
     */
    public static function read(mixed $take, float $firstBeat = 0.0): self
    {
        $list = is_array($take) && array_key_exists('taps', $take) ? $take['taps'] : $take;
        if (! is_array($list) || ! array_is_list($list)) {
            throw ListeningException::notATake();
        }
        if (count($list) > self::MOST_TAPS) {
            throw ListeningException::tooManyTaps(count($list), self::MOST_TAPS);
        }
        $taps = [];
        foreach ($list as $index => $tap) {
            $t = is_array($tap) ? $tap['t'] ?? null : $tap;
            if (! (is_int($t) || is_float($t)) || $t < -1 || $t > self::LONGEST_SECONDS) {
                throw ListeningException::tapTime($index);
            }
            $taps[] = new Tap((float) $t - $firstBeat, self::direction(is_array($tap) ? $tap['key'] ?? null : null, $index), is_array($tap) && ($tap['dead'] ?? false) === true ? true : null);
        }
        usort($taps, static fn (Tap $a, Tap $b): int => $a->t <=> $b->t);

        return new self($taps);
    }

    /**
     * Strokes that are known already.
     *
     * @param list<Tap> $strokes   in order of time, seconds from the start of the recording
     * @param float     $firstBeat where bar 1 beat 1 lies in it, seconds
     */
    public static function of(array $strokes, float $firstBeat): self
    {
        return new self(array_map(static fn (Tap $tap): Tap => new Tap($tap->t - $firstBeat, $tap->direction, $tap->muted, $tap->levelDb, $tap->seconds), $strokes));
    }

    /**
     * Strokes of a recording that does not say where the band began: its own strokes on the beats say it.
     *
     * @param list<Tap> $strokes in order of time, seconds from the start of the recording
     */
    public static function placed(array $strokes, Timeline $timeline): self
    {
        return new self(self::of($strokes, FirstBeat::of($timeline, $strokes))->taps, false);
    }

    /**
     * Only what was played in these bars, from half a beat before to just before the next bar: who waits through the count-in
     * makes sounds too.
     *
     * @param int $bars from bar 1
     */
    public function within(int $bars, Ruler $ruler): self
    {
        $from = -$ruler->seconds(0.5);
        $until = $ruler->seconds($bars * $ruler->meter->beats() - 1 / 12);

        return new self(array_values(array_filter($this->taps, static fn (Tap $tap): bool => $tap->t >= $from && $tap->t < $until)), $this->anchored);
    }

    private static function direction(mixed $key, int $index): ?Direction
    {
        if ($key === null) {
            return null;
        }

        return (is_string($key) ? Direction::tryFrom($key) : null) ?? throw ListeningException::tapKey($index);
    }
}
