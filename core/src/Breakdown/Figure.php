<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\FigureNotPossible;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/** Strokes with notes of their own: a riff, a fill, a turnaround, an answer. Strokes without notes strike the grip. */
final readonly class Figure
{
    public const LONGEST_NAME = 40;

    /**
     * @param list<array<int, list<FigureNote>>> $notes one entry a stream: place of the stroke in it => its notes
     * @param ChordSymbol                        $chord over which it was typed
     * @param Key                                $key   in which it was typed
     */
    public function __construct(
        public string $id,
        public string $name,
        public Pattern $pattern,
        public array $notes,
        public ChordSymbol $chord,
        public Key $key,
        public RelativeTo $relativeTo = RelativeTo::Chord,
        public string $nickname = '',
    ) {
        if (max(mb_strlen($name), mb_strlen($nickname)) > self::LONGEST_NAME) {
            throw new FigureNotPossible('is named in at most 40 characters');
        }
        foreach ($notes as $stream => $byStroke) {
            foreach ($byStroke as $stroke => $each) {
                $strings = array_map(static fn (FigureNote $note): int => $note->string, $each);
                if (! isset($pattern->streams[$stream]->strokes[$stroke]) || count(array_unique($strings)) < count($strings)) {
                    throw new FigureNotPossible('has its notes at its strokes, each on a string of its own');
                }
            }
        }
    }

    /** @param list<array<int, list<FigureNote>>> $notes */
    public function fretted(array $notes): self
    {
        return new self($this->id, $this->name, $this->pattern, $notes, $this->chord, $this->key, $this->relativeTo, $this->nickname);
    }

    /** Its strokes written anew: a line with as many as before keeps their notes in order, else a stroke keeps those of its tick. */
    public function restruck(Pattern $pattern): self
    {
        $notes = [];
        foreach ($pattern->streams as $number => $stream) {
            $was = $this->pattern->streams[$number]->strokes ?? [];
            $places = count($was) === count($stream->strokes)
                ? array_keys($was)
                : array_map(
                    static fn (Stroke $stroke): int|false => array_search($stroke->at, array_column($was, 'at'), true),
                    $stream->strokes,
                );
            $notes[] = array_filter(
                array_map(fn (int|false $place): array => $place === false ? [] : $this->notesOf($number, $place), $places),
                static fn (array $own): bool => $own !== [],
            );
        }

        return new self($this->id, $this->name, $pattern, $notes, $this->chord, $this->key, $this->relativeTo, $this->nickname);
    }

    /** Whether a fixed place is that of one of its notes. */
    public function has(FixedNote $fixed): bool
    {
        foreach ($this->pattern->streams[$fixed->stream]->strokes ?? [] as $place => $stroke) {
            foreach ($this->notesOf($fixed->stream, $place) as $note) {
                if ($fixed->isOf($fixed->stream, $stroke->at, $note->string)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<FigureNote> of one stroke; none where it strikes the grip */
    public function notesOf(int $stream, int $stroke): array
    {
        return $this->notes[$stream][$stroke] ?? [];
    }
}
