<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\FormChord;
use Gravik\Chart\Pin;
use Gravik\Chart\Section;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Grip\Frets;
use Gravik\Strokes\Counting;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/** Reads a breakdown's marks: what each stands on, in words, and the value there now. */
final readonly class MarkReader
{
    public function __construct(private Breakdown $breakdown) {}

    /** What a mark stands on: direction of the stroke on beat 2 of “plain”; null where that is gone. */
    public function place(Mark $mark): ?string
    {
        $on = $mark->on;
        $breakdown = $this->breakdown;

        return match ($on->what) {
            Marked::Song => $on->field,
            Marked::Guitar => $on->field === 'setUp' ? 'set-up' : $on->field,
            Marked::Section => self::told(
                $this->section($on->id),
                static fn (Section $section): string => "{$on->field} of {$section->name}",
            ),
            Marked::Chord => self::told($this->chord($on), fn (FormChord $chord): string => "chord in bar {$this->bar($chord)}"),
            Marked::Grip => self::told($this->pin($on), fn (Pin $pin): string => "grip for {$pin->symbol}".$this->inBar($pin)),
            Marked::Pattern => self::told($this->pattern($on->id), fn (NamedPattern $each): string => "picking of {$this->called($each)}"),
            Marked::Stroke => self::told($this->stroke($on), fn (): string => sprintf(
                '%s of the stroke on %s of %s',
                $on->field === 'offsetMs' ? 'placement' : $on->field,
                Counting::place($this->pattern($on->id)->pattern ?? $breakdown->patterns[0]->pattern, $on->tick),
                $this->called($this->pattern($on->id) ?? $breakdown->patterns[0]),
            )),
            Marked::Figure => self::told($this->figure($on->id), static fn (Figure $figure): string => "notes of “{$figure->name}”"),
            Marked::Pass => self::told($this->pass($on->id), fn (Pass $pass): string => "{$on->field} of pass ".(1 + (int) array_search(
                $pass, $this->breakdown->passes, true,
            ))),
        };
    }

    /** The value that is there now; '' where it is gone. */
    public function value(Mark $mark): string
    {
        $on = $mark->on;
        $start = $this->breakdown->start;
        $section = $this->section($on->id);
        $setting = $section?->setting($start) ?? $start;

        return match ($on->what) {
            Marked::Song, Marked::Section => match ($on->field) {
                'key' => $setting->key->text(),
                'meter' => $setting->meter->text(),
                'tempo' => sprintf('%g', $setting->tempo->bpm),
                'feel' => sprintf('%g : 1', $setting->feel->ratio),
                'line' => $section->line ?? '',
                default => $this->breakdown->genre,
            },
            Marked::Guitar => match ($on->field) {
                'tuning' => $this->breakdown->neck->tuning->slug,
                'capo' => (string) $this->breakdown->neck->capo,
                default => $this->breakdown->setUp->line,
            },
            Marked::Chord => $this->chord($on)?->chord->text() ?? '',
            Marked::Grip => Frets::text($this->pin($on)->frets ?? []),
            Marked::Pattern => $this->pattern($on->id)->school->value ?? '',
            Marked::Stroke => self::told($this->stroke($on), static fn (Stroke $stroke): string => self::field($stroke, $on->field)) ?? '',
            Marked::Figure => $this->figure($on->id)->name ?? '',
            Marked::Pass => $on->field === 'lead' ? $this->pass($on->id)->lead ?? '' : $this->pass($on->id)->notes ?? '',
        };
    }

    /** Whether the teacher marked a grip or a figure as meant off its chord. */
    public function isColour(MarkedValue $value): bool
    {
        return array_filter(
            $this->breakdown->marks,
            static fn (Mark $mark): bool => $mark->is === MarkKind::Colour && $mark->on->equals($value),
        ) !== [];
    }

    private static function field(Stroke $stroke, string $field): string
    {
        return match ($field) {
            'direction' => $stroke->direction->value ?? 'by the school',
            'articulation' => $stroke->articulation->value,
            'accent' => (string) $stroke->accent,
            'length' => $stroke->length === null ? 'until it is struck again' : $stroke->length->words(),
            'strings' => $stroke->strings instanceof Zone ? $stroke->strings->value : implode(' ', $stroke->strings),
            'ornament' => $stroke->ornament->kind->value ?? 'none',
            'offsetMs' => sprintf('%+g ms', $stroke->offsetMs),
            default => $stroke->chord->value,
        };
    }

    private function section(string $id): ?Section
    {
        return array_column($this->breakdown->sections, null, 'id')[$id] ?? null;
    }

    private function pattern(string $id): ?NamedPattern
    {
        return array_column($this->breakdown->patterns, null, 'id')[$id] ?? null;
    }

    private function figure(string $id): ?Figure
    {
        return array_column($this->breakdown->figures, null, 'id')[$id] ?? null;
    }

    private function pass(string $id): ?Pass
    {
        return array_column($this->breakdown->passes, null, 'id')[$id] ?? null;
    }

    private function stroke(MarkedValue $on): ?Stroke
    {
        foreach ($this->pattern($on->id)->pattern->streams[$on->stream]->strokes ?? [] as $stroke) {
            if ($stroke->at === $on->tick) {
                return $stroke;
            }
        }

        return null;
    }

    private function chord(MarkedValue $on): ?FormChord
    {
        foreach ($this->breakdown->written()->chords as $chord) {
            if ($on->at !== null && $chord->at->equals($on->at)) {
                return $chord;
            }
        }

        return null;
    }

    private function pin(MarkedValue $on): ?Pin
    {
        $lines = array_filter($this->breakdown->lines, static fn (VoicingLine $line): bool => $line->id === $on->id);
        foreach (array_merge([], ...array_map(static fn (VoicingLine $line): array => $line->pins, array_values($lines))) as $pin) {
            if ($on->at !== null && $pin->at->equals($on->at)) {
                return $pin;
            }
        }

        return null;
    }

    private function bar(FormChord $chord): int
    {
        return $this->breakdown->written()->bars[$chord->bar]->number;
    }

    private function inBar(Pin $pin): string
    {
        $number = $this->breakdown->written()->numberAt($pin->at);

        return $number === null ? '' : " in bar {$number}";
    }

    private function called(NamedPattern $pattern): string
    {
        return $pattern->name === '' ? 'the pattern' : "“{$pattern->name}”";
    }

    /**
     * @template T of object
     *
     * @param ?T                  $found
     * @param callable(T): string $words
     */
    private static function told(?object $found, callable $words): ?string
    {
        return $found === null ? null : $words($found);
    }
}
