<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Harmony\ChordName;
use Gravik\Harmony\ChordNamer;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Failure\GripNotReadable;
use Gravik\Neck\Failure\TooFewStringsSound;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Words;

/** Says what a grip is called: from frets to names. */
final readonly class GripNamer
{
    private ChordNamer $namer;

    public function __construct(private Neck $neck, ?Key $key = null, ?ChordSymbol $asked = null)
    {
        $this->namer = new ChordNamer($key, $asked);
    }

    /**
     * Reads "x 7 8 7 8 x", one fret a string from the lowest up.
     *
     * @return list<int|null>
     *
     * @throws NeckException
     */
    public static function parse(string $typed, int $strings): array
    {
        $words = Words::of($typed);
        if (count($words) !== $strings) {
            throw new GripNotReadable($typed, $strings);
        }

        return array_map(static function (string $word) use ($typed, $strings): ?int {
            if (in_array(strtolower($word), ['x', '-'], true)) {
                return null;
            }

            return preg_match('/^\d{1,2}$/', $word) === 1 && (int) $word <= 24 ? (int) $word : throw new GripNotReadable($typed, $strings);
        }, $words);
    }

    /**
     * @param list<int|null> $frets low to high
     *
     * @return list<ChordName> the best first, with a degree for each sounding string from the lowest string up
     *
     * @throws NeckException where fewer than two strings sound
     */
    public function names(array $frets): array
    {
        $sounding = $this->sounding($frets);
        $order = array_keys($sounding);
        usort($order, static fn (int $a, int $b): int => $sounding[$a] <=> $sounding[$b]);
        $lowestFirst = array_map(static fn (int $place): int => $sounding[$place], $order);

        return array_map(static function (ChordName $name) use ($sounding): ChordName {
            $degrees = array_map(static fn (int $midi) => $name->chord->degreeOf($midi % 12), $sounding);

            return new ChordName($name->chord, $degrees, $name->omitted, $name->why, $name->cost);
        }, $lowestFirst === [] ? [] : $this->namer->names($lowestFirst));
    }

    /**
     * @param list<int|null> $frets
     *
     * @return list<int> MIDI numbers from the lowest string up
     */
    private function sounding(array $frets): array
    {
        $open = $this->neck->openMidi();
        if (count($frets) !== count($open)) {
            throw new GripNotReadable(Frets::text($frets), count($open));
        }
        $notes = [];
        foreach ($frets as $string => $fret) {
            if ($fret !== null) {
                $notes[] = $open[$string] + $fret;
            }
        }

        return count($notes) < 2 ? throw new TooFewStringsSound() : $notes;
    }
}
