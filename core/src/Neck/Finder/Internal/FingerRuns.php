<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder\Internal;

/**
 * The fretted strings of a grip gathered into runs that one finger can take: strings at one fret, broken only by a
 * sounding string between them that sounds below that fret. A muted string does not break a run.
 *
 * @internal
 */
final readonly class FingerRuns
{
    /**
     * @param list<array{fret: int, strings: non-empty-list<int>}> $runs by fret, then from the lowest string; strings are indexes from 0 (lowest)
     */
    private function __construct(public array $runs) {}

    /** @param list<int|null> $frets low to high */
    public static function of(array $frets): self
    {
        $byFret = [];
        foreach ($frets as $index => $fret) {
            if ($fret === null) {
                continue;
            }
            foreach ($byFret as $runFret => $runs) {
                if ($fret < $runFret) {
                    $byFret[$runFret] = self::closed($runs);
                }
            }
            if ($fret === 0) {
                continue;
            }
            $runs = $byFret[$fret] ?? [];
            $last = array_key_last($runs);
            if ($last !== null && $runs[$last] !== []) {
                $runs[$last][] = $index;
            } else {
                $last === null ? $runs[] = [$index] : $runs[$last] = [$index];
            }
            $byFret[$fret] = $runs;
        }
        ksort($byFret);
        $all = [];
        foreach ($byFret as $fret => $runs) {
            foreach ($runs as $strings) {
                if ($strings !== []) {
                    $all[] = ['fret' => $fret, 'strings' => $strings];
                }
            }
        }

        return new self($all);
    }

    /**
     * The runs as one finger can really take them: a finger laid over a muted string would sound it, so that ends a run as well.
     *
     * @param list<int|null> $frets low to high
     *
     * @return list<array{fret: int, strings: non-empty-list<int>}>
     */
    public function brokenByMuted(array $frets): array
    {
        $runs = [];
        foreach ($this->runs as ['fret' => $fret, 'strings' => $strings]) {
            $part = [$strings[0]];
            foreach (array_slice($strings, 1) as $string) {
                if (array_filter(range(end($part), $string), static fn (int $between): bool => $frets[$between] === null) === []) {
                    $part[] = $string;
                    continue;
                }
                $runs[] = ['fret' => $fret, 'strings' => $part];
                $part = [$string];
            }
            $runs[] = ['fret' => $fret, 'strings' => $part];
        }

        return $runs;
    }

    public function count(): int
    {
        return count($this->runs);
    }

    /**
     * @param list<list<int>> $runs
     *
     * @return list<list<int>> with an empty run at the end, so that the next string starts anew
     */
    private static function closed(array $runs): array
    {
        $last = array_key_last($runs);
        if ($last !== null && $runs[$last] !== []) {
            $runs[] = [];
        }

        return $runs;
    }
}
