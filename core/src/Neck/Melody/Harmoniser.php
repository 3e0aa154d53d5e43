<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\Failure\MelodyNotReadable;
use Gravik\Neck\Failure\MelodyOffTheNeck;
use Gravik\Neck\FretRange;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Pitch\NoteName;
use Gravik\Pitch\Pitch;
use Gravik\Pitch\PitchException;
use Gravik\Words;

/**
 * A melody in double stops: below each note a chord tone, or else a scale note, a third to a sixth away, held where it
 * can be. Of all lines the cheapest by the costs below, found by dynamic programming (rules of thumb).
 */
final readonly class Harmoniser
{
    private const NEAREST = 3;

    private const FARTHEST = 9;

    private const WIDEST_FRETS = 3;

    private const SCALE_NOTE = 1.0;

    private const PER_SEMITONE_BELOW = 0.25;

    private const HELD = -0.9;

    private const PER_FRET_MOVED = 0.25;

    private const ANOTHER_STRING_PAIR = 0.2;

    private const MOST_NOTES = 64;

    public function __construct(private Neck $neck, private Key $key, private FretRange $range = new FretRange()) {}

    /**
     * Reads "E4 G4 | A4 C5", or places on the neck: "2:5 2:8 | 1:5 1:8", string and fret.
     *
     * @return non-empty-list<non-empty-list<int>> MIDI numbers, bar by bar
     *
     * @throws NeckException
     */
    public function parse(string $typed): array
    {
        $bars = [];
        $count = 0;
        $at = 0;
        foreach (explode('|', $typed) as $bar) {
            $notes = [];
            foreach (Words::placed($bar) as $within => $word) {
                $notes[] = $this->note($word, $at + $within);
            }
            $at += mb_strlen($bar) + 1;
            $count += count($notes);
            if ($notes !== []) {
                $bars[] = $notes;
            }
        }

        return $bars === [] || $count > self::MOST_NOTES ? throw new MelodyNotReadable($typed, 0) : $bars;
    }

    private function note(string $word, int $at): int
    {
        $open = $this->neck->openMidi();
        if (preg_match('/^([1-8]):(\d{1,2})$/', $word, $place) === 1 && (int) $place[1] <= count($open)) {
            return $open[count($open) - (int) $place[1]] + (int) $place[2];
        }
        try {
            return Pitch::parse($word)->midi();
        } catch (PitchException) {
            throw new MelodyNotReadable($word, $at);
        }
    }

    /**
     * @param non-empty-list<array{int, ChordSymbol}> $melody each note (MIDI) with the chord of its moment
     *
     * @return list<HarmonisedNote>
     *
     * @throws NeckException where a note with another below it does not lie on the neck
     */
    public function harmonise(array $melody): array
    {
        $layers = array_map(fn (array $note): array => $this->choices(...$note), $melody);
        $costs = array_map(static fn (array $choice): float => $choice['cost'], $layers[0]);
        $cameFrom = [];
        foreach (array_slice($layers, 1) as $place => $layer) {
            $next = [];
            $from = [];
            foreach ($layer as $choice) {
                $least = INF;
                $via = 0;
                foreach ($layers[$place] as $earlier => $before) {
                    $cost = $costs[$earlier] + self::change($before, $choice);
                    if ($cost < $least) {
                        [$least, $via] = [$cost, $earlier];
                    }
                }
                $next[] = $least + $choice['cost'];
                $from[] = $via;
            }
            $costs = $next;
            $cameFrom[] = $from;
        }
        $place = (int) array_search(min($costs), $costs, true);
        $line = [];
        for ($note = count($layers) - 1; $note >= 0; $note--) {
            array_unshift($line, $layers[$note][$place]);
            $place = $note > 0 ? $cameFrom[$note - 1][$place] : 0;
        }

        return $this->written($line, $melody);
    }

    /**
     * @return non-empty-list<array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float}>
     */
    private function choices(int $midi, ChordSymbol $chord): array
    {
        $scale = Scale::ofKey($this->key);
        $open = $this->neck->openMidi();
        $choices = [];
        for ($below = self::NEAREST; $below <= self::FARTHEST; $below++) {
            $lower = $midi - $below;
            $chordTone = $chord->has($lower);
            if (! $chordTone && ! $scale->has((($lower % 12) + 12) % 12)) {
                continue;
            }
            foreach ($open as $high => $highOpen) {
                foreach (array_slice($open, 0, $high, true) as $low => $lowOpen) {
                    $frets = [$lower - $lowOpen, $midi - $highOpen];
                    $apart = $frets[0] > 0 && $frets[1] > 0 ? abs($frets[0] - $frets[1]) : 0;
                    if (
                        $high - $low <= 2
                        && min($frets) >= $this->range->lowest
                        && max($frets) <= $this->range->highest
                        && $apart <= self::WIDEST_FRETS
                    ) {
                        $choices[] = ['strings' => [
                            count($open) - $low,
                            count($open) - $high,
                        ], 'frets' => $frets, 'midi' => [$lower, $midi], 'chordTone' => $chordTone,
                            'cost' => ($chordTone ? 0.0 : self::SCALE_NOTE) + self::PER_SEMITONE_BELOW * ($below - self::NEAREST)];
                    }
                }
            }
        }

        return $choices === []
            ? throw new MelodyOffTheNeck(Pitch::ofMidi(
                max(0, min(127, $midi)),
                NoteName::plain($midi % 12, $this->key->signature() > 0),
            )->text())
            : $choices;
    }

    /**
     * @param array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float} $from
     * @param array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float} $to
     */
    private static function change(array $from, array $to): float
    {
        $held = self::holds($from, $to);
        $moved = abs(max(1, min($to['frets'])) - max(1, min($from['frets'])));

        return ($held ? self::HELD : 0.0)
            + self::PER_FRET_MOVED * $moved
            + ($from['strings'] === $to['strings'] ? 0.0 : self::ANOTHER_STRING_PAIR);
    }

    /**
     * @param array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float} $from
     * @param array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float} $to
     */
    private static function holds(array $from, array $to): bool
    {
        return $from['strings'][0] === $to['strings'][0] && $from['frets'][0] === $to['frets'][0];
    }

    /**
     * @param list<array{strings: array{int, int}, frets: array{int, int}, midi: array{int, int}, chordTone: bool, cost: float}> $line
     * @param non-empty-list<array{int, ChordSymbol}>                                                                            $melody
     *
     * @return list<HarmonisedNote>
     */
    private function written(array $line, array $melody): array
    {
        $written = [];
        foreach ($line as $place => $choice) {
            $held = isset($line[$place - 1]) && self::holds($line[$place - 1], $choice);
            $shared = isset($line[$place + 1]) && self::holds($choice, $line[$place + 1]);
            $written[] = new HarmonisedNote(
                $melody[$place][1],
                $choice['strings'],
                $choice['frets'],
                $choice['midi'],
                $choice['chordTone'],
                $held,
                $shared,
            );
        }

        return $written;
    }
}
