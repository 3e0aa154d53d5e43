<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\RegisterHasNoTone;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\GuideTones;

/**
 * Voices chords for keys and horns: the guide tones and so many more, each in any octave of the register, no interval lower
 * than it sounds clear. Of all ways through the chords the one in which the voices move least and stay in the middle of the
 * register, found by dynamic programming.
 */
final readonly class ChordVoicer
{
    /** The top voice is heard most. */
    private const TOP = 1.5;

    private const OFF_THE_MIDDLE = 0.15;

    /** A voice that comes in or falls silent. */
    private const ANOTHER_COUNT = 4.0;

    /** What is added to the guide tones, the sweetest first. */
    private const MORE = [5, 9, 13, 11, 6, 1];

    /** @param int $widest semitones between neighbouring voices */
    public function __construct(private Register $register, private int $voices, private int $widest = 9) {}

    /**
     * @param list<ChordSymbol> $chords
     *
     * @return list<non-empty-list<int>> MIDI notes from the lowest, one list a chord
     *
     * @throws RegisterHasNoTone where a chord cannot be had in the register
     */
    public function through(array $chords): array
    {
        $costs = [0.0];
        $before = [[]];
        $layers = $ways = [];
        foreach ($chords as $chord) {
            $layer = $this->choices($chord);
            $next = $came = [];
            foreach ($layer as $choice => $voicing) {
                $least = INF;
                foreach ($before as $place => $last) {
                    $cost = $costs[$place] + $this->cost($last, $voicing);
                    if ($cost < $least) {
                        [$least, $came[$choice]] = [$cost, $place];
                    }
                }
                $next[$choice] = $least;
            }
            [$costs, $before] = [$next, $layer];
            [$layers[], $ways[]] = [$layer, $came];
        }
        $voiced = [];
        $choice = (int) array_search(min($costs), $costs, true);
        foreach (array_reverse(array_keys($layers)) as $place) {
            $voiced[] = $layers[$place][$choice];
            $choice = $ways[$place][$choice] ?? 0;
        }

        return array_reverse($voiced);
    }

    /**
     * @param list<int> $from voices before; none at the beginning
     * @param list<int> $to
     */
    public function cost(array $from, array $to): float
    {
        $cost = self::OFF_THE_MIDDLE * abs(array_sum($to) / count($to) - $this->register->middle());
        if ($from === []) {
            return $cost;
        }
        $voices = min(count($from), count($to));
        for ($voice = 1; $voice <= $voices; $voice++) {
            $cost += ($voice === 1 ? self::TOP : 1.0) * abs($to[count($to) - $voice] - $from[count($from) - $voice]);
        }

        return $cost + self::ANOTHER_COUNT * abs(count($from) - count($to));
    }

    /**
     * @return non-empty-list<non-empty-list<int>>
     *
     * @throws RegisterHasNoTone where there is none
     */
    public function choices(ChordSymbol $chord): array
    {
        $choices = [];
        foreach (range($this->voices, 1) as $voices) {
            foreach ($this->placed(self::tones($chord, $voices)) as $voicing) {
                $choices[] = $voicing;
            }
            if ($choices !== []) {
                return $choices;
            }
        }

        throw new RegisterHasNoTone($chord->text(), $this->register->low, $this->register->high);
    }

    /** @return list<int> pitch classes */
    private static function tones(ChordSymbol $chord, int $voices): array
    {
        $tones = GuideTones::of($chord);
        foreach (self::MORE as $number) {
            foreach ($chord->degrees() as $degree) {
                $tone = ($chord->rootPitchClass() + $degree->semitones()) % 12;
                if (count($tones) < $voices && $degree->number === $number && ! in_array($tone, $tones, true)) {
                    $tones[] = $tone;
                }
            }
        }

        return array_slice($tones, 0, $voices);
    }

    /**
     * @param list<int> $tones pitch classes
     *
     * @return list<non-empty-list<int>> every way to place each of them once, from the lowest
     */
    private function placed(array $tones): array
    {
        $ways = [[]];
        foreach ($tones as $tone) {
            $more = [];
            foreach ($ways as $way) {
                foreach ($this->register->notesOf($tone) as $midi) {
                    $more[] = [...$way, $midi];
                }
            }
            $ways = $more;
        }
        $placed = [];
        foreach ($ways as $way) {
            sort($way);
            if ($way !== [] && $this->isClear($way)) {
                $placed[] = $way;
            }
        }

        return $placed;
    }

    /** @param non-empty-list<int> $voicing */
    private function isClear(array $voicing): bool
    {
        foreach (array_slice($voicing, 1) as $place => $upper) {
            if ($upper - $voicing[$place] > $this->widest || LowIntervals::isMuddy($voicing[$place], $upper)) {
                return false;
            }
        }

        return true;
    }
}
