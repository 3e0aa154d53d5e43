<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Counting;
use Gravik\Strokes\Failure\RhythmTooShort;
use Gravik\Strokes\StrokesException;
use Gravik\Time\Meter;
use Gravik\Words;

/** Gives the notes of a figure a rhythm: one of their own, or an even one until there is another. */
final readonly class FigureRhythm
{
    private const NOTES_ALONE = '/^[1-8]:\S+$/';

    public function __construct(private Meter $meter) {}

    /** A line as it is counted: notes alone ("6:3 5:2+4:2") are spread evenly, what is counted already stays. */
    public function counted(string $typed): string
    {
        $words = array_values(Words::placed(strtr(mb_scrub($typed), ['|' => ' '])));
        $counted = array_filter($words, static fn (string $word): bool => preg_match(self::NOTES_ALONE, $word) !== 1);

        return $words === [] || $counted !== [] ? $typed : $this->evenly($words);
    }

    /**
     * One on each half of a beat, on each third of a dotted one; the rest of the last bar passes through air.
     *
     * @param non-empty-list<string> $notes as they are typed: "6:3"
     */
    public function evenly(array $notes): string
    {
        $bar = Counting::syllables($this->meter, $this->meter->isCompound() ? 3 : 2);
        $bars = [];
        foreach (array_chunk($notes, max(1, count($bar))) as $own) {
            $bars[] = implode(' ', array_map(
                static fn (string $syllable, ?string $note): string => $note === null ? "({$syllable})" : "{$syllable}={$note}",
                $bar,
                [...$own, ...array_fill(0, count($bar) - count($own), null)],
            ));
        }

        return implode(' | ', $bars);
    }

    /**
     * What a line strikes, one after the other on the strokes of another rhythm; strokes beyond the last pass through air.
     *
     * @param string $rhythm counted: "1 & (2) &"
     *
     * @throws StrokesException where the rhythm cannot be read, or has fewer strokes
     */
    public function onto(string $typed, string $rhythm): string
    {
        $pattern = CountLine::parse($rhythm, $this->meter);
        $struck = [];
        foreach (Words::placed(strtr($this->counted($typed), ['|' => ' '])) as $word) {
            if (! str_starts_with($word, '(')) {
                $notes = strstr($word, '=');
                $struck[] = $notes === false ? '' : $notes;
            }
        }
        $strokes = count($pattern->strokes());
        if ($strokes < count($struck)) {
            throw new RhythmTooShort($strokes, count($struck));
        }
        $words = [];
        foreach (explode(' ', CountLine::write($pattern)) as $word) {
            if ($word === '|' || str_starts_with($word, '(')) {
                $words[] = $word;
                continue;
            }
            $notes = array_shift($struck);
            $words[] = $notes === null ? '('.preg_replace('/[!x~._>ov^]+$/u', '', $word).')' : $word.$notes;
        }

        return implode(' ', $words);
    }
}
