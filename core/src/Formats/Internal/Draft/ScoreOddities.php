<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use SimpleXMLElement;

/**
 * What stands in the guitar's part of a score and no one guitar can play, by bar.
 *
 * @internal used by ScoreBars
 */
final class ScoreOddities
{
    private const MOST_STRINGS = 8;

    private const HIGHEST_FRET = 24;

    /** MIDI of the lowest string of any guitar, and of its highest fret written an octave up. */
    private const RANGE = [28, 100];

    private const MOST_LINES = 2;

    private const STEPS = ['C' => 0, 'D' => 2, 'E' => 4, 'F' => 5, 'G' => 7, 'A' => 9, 'B' => 11];

    /** @var array<int, int> bar => notes */
    private array $beyond = [];

    /** @var list<int> bars in which more is struck than two lines */
    private array $crowded = [];

    /** Whether a guitar has the note; one that it has not is counted. */
    public function allow(SimpleXMLElement $note, int $bar): bool
    {
        foreach (ScoreWords::all($note, 'notations/technical[string and fret]') as $at) {
            [$string, $fret] = [(int) $at->string, (int) $at->fret];

            return ($string >= 1 && $string <= self::MOST_STRINGS && $fret >= 0 && $fret <= self::HIGHEST_FRET) || $this->without($bar);
        }
        $step = self::STEPS[(string) $note->pitch->step] ?? null;
        if ($step === null) {
            return true;
        }
        $midi = 12 * ((int) $note->pitch->octave + 1) + $step + (int) $note->pitch->alter;

        return ($midi >= self::RANGE[0] && $midi <= self::RANGE[1]) || $this->without($bar);
    }

    /** @param array<string, array<string, true>> $voices of a bar, by staff */
    public function look(array $voices, int $bar): void
    {
        if (max([0, ...array_map(count(...), $voices)]) > self::MOST_LINES) {
            $this->crowded[] = $bar;
        }
    }

    /** @return list<string> */
    public function words(): array
    {
        $words = [];
        foreach ($this->beyond as $bar => $notes) {
            $words[] = sprintf('bar %d: %s that no guitar has', $bar + 1, $notes === 1 ? 'a note' : "{$notes} notes");
        }
        if ($this->crowded !== []) {
            $words[] = sprintf(
                'bar %d%s: more than two voices on one staff; what they strike together is taken for one stroke',
                $this->crowded[0] + 1,
                count($this->crowded) === 1 ? '' : sprintf(' and %d more', count($this->crowded) - 1),
            );
        }

        return $words;
    }

    private function without(int $bar): bool
    {
        $this->beyond[$bar] = ($this->beyond[$bar] ?? 0) + 1;

        return false;
    }
}
