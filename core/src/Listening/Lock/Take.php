<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\Failure\NotATake;
use Gravik\Listening\Failure\TapKeyUnknown;
use Gravik\Listening\Failure\TapWithoutTime;
use Gravik\Listening\Failure\TooManyTaps;
use Gravik\Listening\Hearing\GripEar;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Direction;

/** Taps played along to the band, in order of time. */
final readonly class Take
{
    /** The longest pass of a song that is played in one go. */
    public const MOST_BARS = 160;

    private const MOST_TAPS = 20_000;

    private const LONGEST_SECONDS = 3600;

    /**
     * @param list<PlayedOnset> $taps     in order of time
     * @param bool      $anchored whether it is known where the band's first beat lay, so that a bias means something
     * @param ?GripEar  $ear      of a recording
     * @param float     $firstBeat where bar 1 beat 1 lies in that recording, seconds
     */
    private function __construct(
        public array $taps,
        public bool $anchored = true,
        private ?GripEar $ear = null,
        private float $firstBeat = 0.0,
    ) {}

    /**
     * Reads {"taps": [{"t": 1.234, "key"?: "down"|"up", "dead"?: true}]} or a list of seconds.
     *
     * @param float $firstBeat where bar 1 beat 1 lies in the take, seconds
     */
    public static function read(mixed $take, float $firstBeat = 0.0): self
    {
        $list = is_array($take) && array_key_exists('taps', $take) ? $take['taps'] : $take;
        if (! is_array($list) || ! array_is_list($list)) {
            throw new NotATake();
        }
        if (count($list) > self::MOST_TAPS) {
            throw new TooManyTaps(count($list), self::MOST_TAPS);
        }
        $taps = [];
        foreach ($list as $index => $tap) {
            $t = is_array($tap) ? $tap['t'] ?? null : $tap;
            if (! (is_int($t) || is_float($t)) || $t < -1 || $t > self::LONGEST_SECONDS) {
                throw new TapWithoutTime($index);
            }
            $taps[] = new PlayedOnset(
                (float) $t - $firstBeat,
                self::direction(is_array($tap) ? $tap['key'] ?? null : null, $index),
                is_array($tap) && ($tap['dead'] ?? false) === true ? true : null,
            );
        }
        usort($taps, static fn (PlayedOnset $a, PlayedOnset $b): int => $a->t <=> $b->t);

        return new self($taps);
    }

    /**
     * Strokes that are known already.
     *
     * @param list<PlayedOnset> $strokes   in order of time, seconds from the start of the recording
     * @param float     $firstBeat where bar 1 beat 1 lies in it, seconds
     * @param ?GripEar  $ear       of the recording
     */
    public static function of(array $strokes, float $firstBeat, ?GripEar $ear = null): self
    {
        return new self(
            array_map(static fn (PlayedOnset $tap): PlayedOnset => $tap->at($tap->t - $firstBeat), $strokes),
            true,
            $ear,
            $firstBeat,
        );
    }

    /**
     * Strokes of a recording that does not say where the band began: its own strokes on the beats say it.
     *
     * @param list<PlayedOnset> $strokes in order of time, seconds from the start of the recording
     * @param ?GripEar  $ear     of the recording
     */
    public static function placed(array $strokes, Timeline $timeline, ?GripEar $ear = null): self
    {
        $sure = array_values(array_filter($strokes, static fn (PlayedOnset $stroke): bool => $stroke->isSure()));
        $firstBeat = FirstBeat::of($timeline, $sure === [] ? $strokes : $sure);

        return new self(self::of($strokes, $firstBeat)->taps, false, $ear, $firstBeat);
    }

    /**
     * Which way a stroke went: of a recording as it is heard with the strings known that it strikes; a single string, and a
     * dead stroke, have no way to be heard.
     *
     * @param int       $stroke index into $taps
     * @param list<int> $midi   pitches of the strings that ring
     */
    public function wayOf(int $stroke, array $midi): ?Direction
    {
        $tap = $this->taps[$stroke];
        if ($tap->levelDb === null) {
            return $tap->direction;
        }
        if (count($midi) < 2 || $tap->muted === true) {
            return null;
        }

        $byGrip = $this->ear?->direction(
            $tap->t + $this->firstBeat,
            ($this->taps[$stroke + 1]->t ?? $tap->t + 1) + $this->firstBeat,
            $midi,
        );

        // Heard twice, with the grip and without; where the two disagree nobody knows.
        return $byGrip === null || $tap->direction === null || $byGrip === $tap->direction ? $byGrip ?? $tap->direction : null;
    }

    /**
     * Only what was played in these bars, from half a beat before to the beat they end on: who waits through the count-in makes
     * sounds too.
     *
     * @param int $bars from the take's first on
     * @param int $first bar of the song, from 0, that the take begins with
     */
    public function within(int $bars, Timeline $timeline, int $first = 0): self
    {
        $beat = $timeline->map->first()->tempo->beatSeconds();
        $from = -0.5 * $beat;
        $until = $timeline->secondsOfBars($first + $bars) - $timeline->secondsOfBars($first) + $beat;

        return new self(
            array_values(array_filter($this->taps, static fn (PlayedOnset $tap): bool => $tap->t >= $from && $tap->t < $until)),
            $this->anchored,
            $this->ear,
            $this->firstBeat,
        );
    }

    /** @return list<PlayedOnset> those that were played whatever was planned */
    public function sure(): array
    {
        return array_values(array_filter($this->taps, static fn (PlayedOnset $tap): bool => $tap->isSure()));
    }

    /** Played so many seconds later in the song; where it lies in its recording is the same. */
    public function laterBy(float $seconds): self
    {
        return new self(
            array_map(static fn (PlayedOnset $tap): PlayedOnset => $tap->at($tap->t + $seconds), $this->taps),
            $this->anchored,
            $this->ear,
            $this->firstBeat - $seconds,
        );
    }

    private static function direction(mixed $key, int $index): ?Direction
    {
        if ($key === null) {
            return null;
        }

        return (is_string($key) ? Direction::tryFrom($key) : null) ?? throw new TapKeyUnknown($index);
    }
}
