<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\CapoOutOfRange;
use Gravik\Neck\Failure\StringsNotReadable;

/** A guitar's neck as it is set up: tuning, capo, scale length, and which strings are to be used. Lengths in mm. */
final readonly class Neck
{
    public const SCALE_MM = 648.0;

    /** The fingertip lies this share of the fret's width behind the wire. */
    private const TIP = 0.3;

    /** @var list<int> string numbers in use, from the lowest-sounding */
    public array $strings;

    /** @var list<int> MIDI numbers of the open strings above the capo, low to high */
    private array $openMidi;

    /** @param ?list<int> $strings string numbers in use; null for all */
    public function __construct(public Tuning $tuning, public int $capo = 0, ?array $strings = null)
    {
        if ($capo < 0 || $capo > 12) {
            throw new CapoOutOfRange($capo);
        }
        $all = range($tuning->strings(), 1);
        $used = $strings === null ? $all : array_values(array_intersect($all, $strings));
        if ($used === [] || ($strings !== null && count($used) !== count(array_unique($strings)))) {
            throw new StringsNotReadable(implode(',', $strings ?? []), $tuning->strings());
        }
        $this->strings = $used;
        $this->openMidi = $tuning->openMidi($capo);
    }

    /**
     * Reads "6-1", "4-1" or "6,4,3".
     *
     * @return list<int>
     */
    public static function parseStrings(string $typed, int $count): array
    {
        if (preg_match('/^\s*(\d)\s*-\s*(\d)\s*$/', $typed, $range) === 1) {
            $strings = range(max((int) $range[1], (int) $range[2]), min((int) $range[1], (int) $range[2]));
        } elseif (preg_match('/^\s*\d(\s*,\s*\d)*\s*$/', $typed) === 1) {
            $strings = array_map(intval(...), explode(',', $typed));
        } else {
            throw new StringsNotReadable($typed, $count);
        }
        if (min($strings) < 1 || max($strings) > $count) {
            throw new StringsNotReadable($typed, $count);
        }

        return array_values(array_unique($strings));
    }

    /** d(n) = L·(1 − 2^(−n/12)): a fret's distance from the nut, fret counted from the capo. */
    public function fretMm(int $fret): float
    {
        return self::SCALE_MM * (1 - 2 ** (-($fret + $this->capo) / 12));
    }

    /** Where the fingertip lies for that fret. */
    public function tipMm(int $fret): float
    {
        $wire = $this->fretMm($fret);

        return $wire - self::TIP * ($wire - $this->fretMm($fret - 1));
    }

    /** Of the hand along the neck from position to position, in mm; an open grip leaves it where it is. */
    public function travelMm(int $from, int $to): float
    {
        return $from === 0 || $to === 0 ? 0.0 : abs($this->tipMm($to) - $this->tipMm($from));
    }

    public function spanMm(int $lowestFret, int $highestFret): float
    {
        return $this->tipMm($highestFret) - $this->tipMm($lowestFret);
    }

    /** @return list<int> MIDI numbers of the open strings, low to high */
    public function openMidi(): array
    {
        return $this->openMidi;
    }
}
