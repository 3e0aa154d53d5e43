<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\FretRange;
use Gravik\Neck\Neck;

/** What lies on the neck for a chord of a key: its double stops, and the notes for fills around a grip. */
final readonly class NeckMap
{
    /** Semitones that count as each interval; thirds and fourths lie on neighbouring strings, sixths skip one. */
    private const INTERVALS = [1 => ['third' => [3, 4], 'fourth' => [5]], 2 => ['sixth' => [8, 9]]];

    private const WIDEST = 3;

    private const HAMMER_FROM = [1, 2];

    /** A hand in position reaches this many frets from its first finger, and one below. */
    private const HAND = 3;

    public function __construct(private Neck $neck, private FretRange $range = new FretRange()) {}

    /**
     * Every double stop whose two notes are in the key or in the chord.
     *
     * @return list<DoubleStop> string pair by string pair from the low strings, then up the neck
     */
    public function doubleStops(Key $key, ChordSymbol $chord): array
    {
        $open = $this->neck->openMidi();
        $stops = [];
        foreach (self::INTERVALS as $apart => $intervals) {
            for ($low = 0; $low + $apart < count($open); $low++) {
                $high = $low + $apart;
                foreach ($intervals as $name => $sizes) {
                    array_push($stops, ...$this->onStrings($low, $high, $name, $sizes, $key, $chord));
                }
            }
        }
        usort(
            $stops,
            static fn (DoubleStop $a, DoubleStop $b): int => [
                -$a->strings[0],
                -$a->strings[1],
                min($a->frets),
            ] <=> [-$b->strings[0], -$b->strings[1], min($b->frets)],
        );

        return $stops;
    }

    /**
     * Scale notes within the position of a grip, for fills between chords.
     *
     * @param int $position fret of the first finger; 0 for an open grip
     *
     * @return list<array{string: int, fret: int, midi: int, chordTone: bool, fights: bool}>
     */
    public function fillZone(Scale $scale, ChordSymbol $chord, int $position): array
    {
        $from = max(0, $position - 1);
        $zone = [];
        $open = $this->neck->openMidi();
        foreach ($open as $index => $midi) {
            for ($fret = $from; $fret <= max($position, 1) + self::HAND; $fret++) {
                if ($scale->has(($midi + $fret) % 12)) {
                    $zone[] = [
                        'string' => count($open) - $index,
                        'fret' => $fret,
                        'midi' => $midi + $fret,
                        'chordTone' => $chord->has($midi + $fret),
                        'fights' => $chord->isFoughtBy($midi + $fret),
                    ];
                }
            }
        }

        return $zone;
    }

    /**
     * @param 'third'|'fourth'|'sixth' $interval
     * @param list<int>                $sizes
     *
     * @return list<DoubleStop>
     */
    private function onStrings(int $low, int $high, string $interval, array $sizes, Key $key, ChordSymbol $chord): array
    {
        $open = $this->neck->openMidi();
        $count = count($open);
        $stops = [];
        for ($fret = $this->range->lowest; $fret <= $this->range->highest; $fret++) {
            foreach ($sizes as $size) {
                $midi = [$open[$low] + $fret, $open[$low] + $fret + $size];
                $upper = $midi[1] - $open[$high];
                if (
                    $upper < $this->range->lowest
                    || $upper > $this->range->highest
                    || ($fret > 0 && $upper > 0 && abs($upper - $fret) > self::WIDEST)
                ) {
                    continue;
                }
                $tones = array_map(static fn (int $note): bool => $chord->has($note), $midi);
                $scale = Scale::ofKey($key);
                if (($tones[0] || $scale->has($midi[0] % 12)) && ($tones[1] || $scale->has($midi[1] % 12))) {
                    $kind = match (count(array_filter($tones))) {
                        2 => DoubleStopKind::BothChordTones,
                        1 => array_filter($midi, $chord->isFoughtBy(...)) === [] ? DoubleStopKind::OneAndAColour : DoubleStopKind::Passing,
                        default => DoubleStopKind::Passing,
                    };
                    $places = [[$count - $low, $fret, $midi[0], $tones[0]], [$count - $high, $upper, $midi[1], $tones[1]]];
                    $stops[] = new DoubleStop(
                        [$count - $low, $count - $high],
                        [$fret, $upper],
                        $midi,
                        $interval,
                        $kind,
                        $this->hammers($places, $scale),
                    );
                }
            }
        }

        return $stops;
    }

    /**
     * Onto a chord tone, from a scale note one or two frets below it on its string.
     *
     * @param list<array{int, int, int, bool}> $places string number, fret, MIDI, chord tone or not
     *
     * @return list<array{string: int, from: int, to: int}>
     */
    private function hammers(array $places, Scale $scale): array
    {
        $hammers = [];
        foreach ($places as [$string, $fret, $midi, $isTone]) {
            foreach (self::HAMMER_FROM as $below) {
                if ($isTone && $fret - $below >= 0 && $scale->has(($midi - $below) % 12)) {
                    $hammers[] = ['string' => $string, 'from' => $fret - $below, 'to' => $fret];
                }
            }
        }

        return $hammers;
    }
}
