<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
use SimpleXMLElement;

/**
 * Notes of a score that begin together, as one stroke.
 *
 * @internal used by ScoreBars
 */
final readonly class ScoreStroke
{
    /** Per cent of forte: below it a stroke is soft. */
    private const SOFT = 60;

    /**
     * Two voices of a staff that has tab are two lines, on however many staves they are written; else all is one stroke.
     *
     * @param array<string, array<string, non-empty-list<SimpleXMLElement>>> $staves staff => voice => notes that begin at the tick
     * @param array<string, array<string, true>>                             $voices staff => those it has in the bar
     *
     * @param bool                                                           $moves  whether some may be slid, hammered or bent
     *
     * @return list<DraftStroke>
     */
    public static function of(int $tick, array $staves, array $voices, bool $moves): array
    {
        $lines = [];
        foreach ($staves as $staff => $byVoice) {
            $order = array_keys($voices[$staff] ?? []);
            sort($order);
            foreach ($byVoice as $voice => $notes) {
                $place = (int) array_search($voice, $order, true);
                $lines[count($order) === 2 ? $place : 0][] = $notes;
            }
        }
        ksort($lines);

        $strokes = [];
        foreach ($lines as $line => $notes) {
            $all = array_merge(...$notes);
            $struck = array_values(array_filter($all, static fn (SimpleXMLElement $note): bool => ! isset($note->grace)));
            $before = array_values(array_filter($all, static fn (SimpleXMLElement $note): bool => isset($note->grace)));
            if ($struck !== []) {
                $strokes[] = self::stroke($tick, $struck, $moves ? ScoreMoves::of($struck, $before) : [], $line);
            }
        }

        return $strokes;
    }

    /**
     * @param list<SimpleXMLElement> $notes of all staves
     * @param array<int, Ornament>   $moves by string
     */
    private static function stroke(int $tick, array $notes, array $moves, int $line): DraftStroke
    {
        $frets = $pitches = [];
        $has = static fn (string $path): bool => array_filter(
            $notes,
            static fn (SimpleXMLElement $note): bool => ScoreWords::all($note, $path) !== [],
        ) !== [];
        foreach ($notes as $note) {
            foreach (ScoreWords::all($note, 'notations/technical') as $technical) {
                if (isset($technical->string, $technical->fret)) {
                    $frets[(int) $technical->string] ??= (int) $technical->fret;
                }
            }
            $pitches["{$note->pitch->step}{$note->pitch->alter}{$note->pitch->octave}{$note->unpitched->{'display-step'}}"] = true;
        }
        $up = $has('notations/technical/up-bow') || $has('notations/arpeggiate[@direction="down"]');
        $down = $has('notations/technical/down-bow') || $has('notations/arpeggiate[@direction="up"]');

        return new DraftStroke(
            $tick,
            $frets,
            max(count($frets), $frets === [] ? count($pitches) : 0),
            $up === $down ? null : ($up ? Direction::Up : Direction::Down),
            $has('notehead[normalize-space()="x"]') || $has('notehead[normalize-space()="cross"]'),
            $has('notehead[@parentheses="yes"]') || $has('notations/ornaments/ghost'),
            $has('play/mute[normalize-space()="palm"]'),
            $has('notations/articulations/staccato') || $has('notations/articulations/staccatissimo'),
            match (true) {
                $has('notations/articulations/strong-accent') => 3,
                $has('notations/articulations/accent') => 2,
                $has('self::note[@dynamics < '.self::SOFT.']') => 0,
                default => 1,
            },
            line: $line,
            moves: $moves,
        );
    }
}
