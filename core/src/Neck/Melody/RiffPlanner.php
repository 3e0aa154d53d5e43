<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Neck\Failure\RiffNotReadable;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Words;

/**
 * A short figure on one string after another, found in other registers and at the other degrees of its key. A string
 * over is a fourth where the strings lie a fourth apart, so the IV may be the same frets one string higher; from IV to V
 * it is always two frets.
 */
final readonly class RiffPlanner
{
    private const MOST_NOTES = 32;

    private const HIGHEST_FRET = 17;

    private const IV = 5;

    private const V_ABOVE_IV = 2;

    public function __construct(private Neck $neck) {}

    /**
     * Reads "6:3 5:2 5:5": string and fret of each note.
     *
     * @return non-empty-list<RiffNote>
     *
     * @throws NeckException
     */
    public function parse(string $typed): array
    {
        $open = $this->neck->openMidi();
        $notes = [];
        foreach (Words::placed($typed) as $at => $word) {
            if (preg_match(
                '/^(\d):(\d{1,2})$/',
                $word,
                $found,
            ) !== 1 || (int) $found[1] < 1 || (int) $found[1] > count($open) || (int) $found[2] > self::HIGHEST_FRET) {
                throw new RiffNotReadable($word, count($open), self::HIGHEST_FRET, $at);
            }
            $notes[] = $this->note((int) $found[1], (int) $found[2]);
        }

        return $notes === [] || count($notes) > self::MOST_NOTES
            ? throw new RiffNotReadable($typed, count($open), self::HIGHEST_FRET, 0)
            : $notes;
    }

    /**
     * @param non-empty-list<RiffNote> $riff on the I
     *
     * @return list<RiffPlace> each register with its shortest way to IV and V; the register as typed comes first
     */
    public function places(array $riff): array
    {
        $places = [];
        $registers = [
            'as typed' => $riff,
            'same notes one string lower' => $this->overStrings($riff, 1, true),
            'same notes one string higher' => $this->overStrings($riff, -1, true),
            'an octave up the neck' => $this->alongNeck($riff, 12),
            'an octave down the neck' => $this->alongNeck($riff, -12),
        ];
        foreach ($registers as $where => $one) {
            $place = $one === null ? null : $this->shortest($where, $one);
            if ($place !== null) {
                $places[] = $place;
            }
        }

        return $places;
    }

    /** @param non-empty-list<RiffNote> $one */
    private function shortest(string $where, array $one): ?RiffPlace
    {
        $best = null;
        $ways = [
            'the same frets one string higher' => $this->raisedBy($this->overStrings($one, -1, false), $one, self::IV),
            'five frets up' => $this->alongNeck($one, self::IV),
            'seven frets down' => $this->alongNeck($one, self::IV - 12),
        ];
        foreach ($ways as $way => $four) {
            $five = $four === null ? null : $this->alongNeck($four, self::V_ABOVE_IV);
            if ($four !== null && $five !== null) {
                $travel = $this->apart($one, $four) + $this->apart($four, $five) + $this->apart($five, $one);
                $best = $best === null || $travel < $best->travelMm ? new RiffPlace($where, $one, $way, $four, $five, $travel) : $best;
            }
        }

        return $best;
    }

    /**
     * @param non-empty-list<RiffNote> $riff
     * @param int                      $by        strings, + towards the low side
     * @param bool                     $sameNotes whether the notes stay, or the frets
     *
     * @return non-empty-list<RiffNote>|null
     */
    private function overStrings(array $riff, int $by, bool $sameNotes): ?array
    {
        $moved = [];
        foreach ($riff as $note) {
            $open = $this->neck->openMidi()[count($this->neck->openMidi()) - $note->string - $by] ?? null;
            $fret = $open === null ? -1 : ($sameNotes ? $note->midi - $open : $note->fret);
            if ($open === null || $note->string + $by < 1 || $fret < 0 || $fret > self::HIGHEST_FRET) {
                return null;
            }
            $moved[] = $this->note($note->string + $by, $fret);
        }

        return $moved;
    }

    /**
     * @param non-empty-list<RiffNote>|null $moved
     * @param non-empty-list<RiffNote>      $from
     *
     * @return non-empty-list<RiffNote>|null null unless every note rose by that much
     */
    private function raisedBy(?array $moved, array $from, int $semitones): ?array
    {
        foreach ($moved ?? [] as $place => $note) {
            if ($note->midi - $from[$place]->midi !== $semitones) {
                return null;
            }
        }

        return $moved;
    }

    /**
     * @param non-empty-list<RiffNote> $riff
     *
     * @return non-empty-list<RiffNote>|null
     */
    private function alongNeck(array $riff, int $frets): ?array
    {
        $moved = [];
        foreach ($riff as $note) {
            if ($note->fret + $frets < 0 || $note->fret + $frets > self::HIGHEST_FRET) {
                return null;
            }
            $moved[] = $this->note($note->string, $note->fret + $frets);
        }

        return $moved;
    }

    private function note(int $string, int $fret): RiffNote
    {
        $open = $this->neck->openMidi();

        return new RiffNote($string, $fret, $open[count($open) - $string] + $fret);
    }

    /**
     * @param non-empty-list<RiffNote> $a
     * @param non-empty-list<RiffNote> $b
     */
    private function apart(array $a, array $b): float
    {
        return $this->neck->travelMm($this->position($a), $this->position($b));
    }

    /** @param non-empty-list<RiffNote> $riff */
    private function position(array $riff): int
    {
        $fretted = array_filter(array_map(static fn (RiffNote $note): int => $note->fret, $riff), static fn (int $fret): bool => $fret > 0);

        return $fretted === [] ? 0 : min($fretted);
    }
}
