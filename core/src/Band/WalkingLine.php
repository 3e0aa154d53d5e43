<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\RegisterHasNoTone;
use Gravik\Harmony\ChordSymbol;

/**
 * A walking line: where a chord begins its root (or slash bass), on the beat before the next one a step into it, chord tones
 * between; a note twice in a row only where nothing else is left, always
 * within the register. Of all such lines the cheapest by the costs below, found
 * by dynamic programming (rules of thumb).
 */
final readonly class WalkingLine
{
    /** A note that leads into the next chord by a half step, a whole step or from its fifth. */
    private const HALF_STEP = 0.0;

    private const WHOLE_STEP = 0.4;

    private const FROM_FIFTH = 1.2;

    /** A tone that leads nowhere, on the last beat of a chord. */
    private const NO_LEAD = 3.0;

    /** Third and fifth are sweeter than the root again, colours are rarer. */
    private const TONES = [1 => 0.6, 3 => 0.0, 5 => 0.2, 7 => 0.4, 6 => 0.5];

    private const A_COLOUR = 1.2;

    private const PER_SEMITONE = 0.12;

    /** A leap wider than a fifth costs more for each semitone. */
    private const WIDE = 0.5;

    private const FIFTH = 7;

    /** The same note again: only where nothing else is left. */
    private const AGAIN = 50.0;

    private const PER_SEMITONE_OFF_THE_MIDDLE = 0.03;

    public function __construct(private Register $register) {}

    /**
     * @param list<array{ChordSymbol, bool}> $beats the chord of each beat, and whether it begins there
     *
     * @return list<int> MIDI notes
     *
     * @throws RegisterHasNoTone where a chord's root lies outside the register
     */
    public function through(array $beats): array
    {
        $costs = $ways = [];
        foreach ($beats as $place => [$chord]) {
            $next = $came = [];
            foreach ($this->choices($beats, $place) as $pitch => $own) {
                [$least, $from] = $place === 0 ? [0.0, null] : [INF, null];
                foreach ($place === 0 ? [] : $costs as $before => $cost) {
                    $step = $cost + self::move($before, $pitch);
                    if ($step < $least) {
                        [$least, $from] = [$step, $before];
                    }
                }
                if ($least < INF) {
                    $next[$pitch] = $least + $own;
                    $came[$pitch] = $from;
                }
            }
            if ($next === []) {
                throw new RegisterHasNoTone($chord->text(), $this->register->low, $this->register->high);
            }
            [$costs, $ways[]] = [$next, $came];
        }
        $line = [];
        $pitch = $costs === [] ? null : array_search(min($costs), $costs, true);
        foreach (array_reverse($ways) as $came) {
            $line[] = (int) $pitch;
            $pitch = $came[(int) $pitch];
        }

        return array_reverse($line);
    }

    /**
     * What a whole line costs; INF where it may not be played so.
     *
     * @param list<array{ChordSymbol, bool}> $beats as above
     * @param list<int>                      $line
     */
    public function cost(array $beats, array $line): float
    {
        $cost = 0.0;
        foreach ($line as $place => $pitch) {
            $cost += ($this->choices($beats, $place)[$pitch] ?? INF) + ($place === 0 ? 0.0 : self::move($line[$place - 1], $pitch));
        }

        return $cost;
    }

    /**
     * @param list<array{ChordSymbol, bool}> $beats
     *
     * @return array<int, float> MIDI note => what it costs there
     */
    private function choices(array $beats, int $place): array
    {
        [$chord, $begins] = $beats[$place];
        [$following, $changes] = $beats[$place + 1] ?? [null, false];
        $choices = [];
        foreach (range($this->register->low, $this->register->high) as $pitch) {
            $cost = match (true) {
                $begins || $place === 0 => $pitch % 12 === self::bassOf($chord) ? 0.0 : null,
                $changes && $following !== null => self::leading($pitch, $chord, $following),
                default => self::tone($pitch, $chord),
            };
            if ($cost !== null) {
                $choices[$pitch] = $cost + self::PER_SEMITONE_OFF_THE_MIDDLE * abs($pitch - $this->register->middle());
            }
        }

        return $choices;
    }

    private static function leading(int $pitch, ChordSymbol $chord, ChordSymbol $next): ?float
    {
        $below = (self::bassOf($next) - $pitch % 12 + 12) % 12;

        return match (true) {
            $below === 1 || $below === 11 => self::HALF_STEP,
            ($below === 2 || $below === 10) && ! $chord->isFoughtBy($pitch) => self::WHOLE_STEP,
            $below === 5 => self::FROM_FIFTH,
            $below === 0 => null,
            default => self::tone($pitch, $chord) === null ? null : self::NO_LEAD,
        };
    }

    private static function tone(int $pitch, ChordSymbol $chord): ?float
    {
        return $chord->has($pitch) ? self::TONES[$chord->degreeOf($pitch % 12)->number] ?? self::A_COLOUR : null;
    }

    private static function move(int $from, int $to): float
    {
        $semitones = abs($to - $from);

        return $semitones === 0 ? self::AGAIN : self::PER_SEMITONE * $semitones + self::WIDE * max(0, $semitones - self::FIFTH);
    }

    private static function bassOf(ChordSymbol $chord): int
    {
        return ($chord->bass ?? $chord->root)->pitchClass();
    }
}
