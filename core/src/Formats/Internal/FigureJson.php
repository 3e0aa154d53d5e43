<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Formats\PatternJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Meter;

/**
 * Figures of a document: a pattern whose strokes may have notes of their own, and where it is played.
 *
 * @internal used by BreakdownJson
 */
final readonly class FigureJson
{
    private const MOST_FIXED = 400;

    public function __construct(private PatternJson $patterns = new PatternJson(), private SongJson $song = new SongJson()) {}

    public function figure(mixed $value, string $pointer): Figure
    {
        $fields = Fields::of($value, $pointer)
            ->only(['id', 'name', 'nickname', 'meter', 'ticks', 'streams', 'relativeTo', 'over', 'key']);
        $notes = $fields->list('streams', $this->notesOfStream(...), 2);
        $meter = $fields->build(static fn (): Meter => Meter::parse($fields->string('meter')), 'meter');
        $pattern = $this->patterns->read(Fields::of(self::withoutNotes($value), $pointer), $meter);

        return $fields->build(static fn (): Figure => new Figure(
            $fields->string('id'),
            $fields->string('name'),
            $pattern,
            $notes,
            $fields->build(static fn (): ChordSymbol => ChordSymbol::parse($fields->string('over')), 'over'),
            $fields->build(static fn (): Key => Key::parse($fields->string('key')), 'key'),
            $fields->enum('relativeTo', RelativeTo::class),
            $fields->has('nickname') ? $fields->string('nickname') : '',
        ));
    }

    /** @return array<string, mixed> */
    public function writeFigure(Figure $figure): array
    {
        return ['id' => $figure->id, 'name' => $figure->name] + ($figure->nickname === '' ? [] : ['nickname' => $figure->nickname]) + [
            'meter' => $figure->pattern->meter->text(),
            'relativeTo' => $figure->relativeTo->value,
            'over' => $figure->chord->text(),
            'key' => $figure->key->text(),
            'ticks' => $figure->pattern->ticks,
            'streams' => array_map(fn (Stream $stream, int $number): array => [
                'name' => $stream->name,
                'strokes' => array_map(
                    fn (Stroke $stroke, int $place): array => $this->writeStroke($stroke, $figure->notesOf($number, $place)),
                    $stream->strokes,
                    array_keys($stream->strokes),
                ),
            ], $figure->pattern->streams, array_keys($figure->pattern->streams)),
        ];
    }

    /**
     * @param list<FigureNote> $notes
     *
     * @return array<string, mixed>
     */
    private function writeStroke(Stroke $stroke, array $notes): array
    {
        return $this->patterns->writeStroke($stroke) + ($notes === [] ? [] : ['notes' => array_map(self::writeNote(...), $notes)]);
    }

    public function placed(Figure $figure, Fields $fields): PlacedFigure
    {
        $fields->only(['what', 'at', 'passes', 'times', 'instead', 'octave', 'near', 'fixed', 'parts']);

        return $fields->build(fn (): PlacedFigure => new PlacedFigure(
            $figure,
            $this->song->place($fields->object('at')),
            $fields->has('passes') ? $fields->list('passes', Fields::stringIn(...), Breakdown::MOST['passes']) : null,
            $fields->has('times') ? $fields->list('times', Fields::intIn(...), Breakdown::MOST['form']) : null,
            ! $fields->has('instead') || $fields->bool('instead'),
            $fields->has('octave') ? $fields->int('octave') : 0,
            $fields->has('near') ? $fields->int('near') : null,
            $fields->has('fixed') ? $fields->list('fixed', self::fixed(...), self::MOST_FIXED) : [],
            $fields->has('parts') ? $fields->list('parts', Fields::stringIn(...), Breakdown::MOST['parts']) : null,
        ));
    }

    /** @return array<string, mixed> */
    public function writePlaced(PlacedFigure $placed): array
    {
        return ['what' => $placed->figure->id, 'at' => LinesJson::writePlace($placed->at)] + array_filter([
            'passes' => $placed->passes,
            'times' => $placed->times,
            'instead' => $placed->instead ? null : false,
            'octave' => $placed->octave === 0 ? null : $placed->octave,
            'near' => $placed->near,
            'fixed' => $placed->fixed === [] ? null : array_map(get_object_vars(...), $placed->fixed),
            'parts' => $placed->parts,
        ], static fn (mixed $told): bool => $told !== null);
    }

    private static function fixed(mixed $value, string $pointer): FixedNote
    {
        $fields = Fields::of($value, $pointer)->only(['stream', 'tick', 'note', 'string', 'fret']);

        return $fields->build(static fn (): FixedNote => new FixedNote(
            $fields->int('stream'),
            $fields->int('tick'),
            $fields->int('note'),
            $fields->int('string'),
            $fields->int('fret'),
        ));
    }

    /** @return array<int, list<FigureNote>> place of the stroke => its notes */
    private function notesOfStream(mixed $value, string $pointer): array
    {
        $notes = Fields::of($value, $pointer)->only(['name', 'strokes'])->list('strokes', function (mixed $stroke, string $at): array {
            $fields = Fields::of($stroke, $at);

            return $fields->has('notes') ? $fields->list('notes', $this->note(...), 8) : [];
        }, 400);

        return array_filter($notes, static fn (array $own): bool => $own !== []);
    }

    private function note(mixed $value, string $pointer): FigureNote
    {
        $fields = Fields::of($value, $pointer)->only(['string', 'fret', 'ornament']);
        $ornament = $fields->has('ornament') ? $fields->object('ornament')->only(['kind', 'frets']) : null;

        return $fields->build(static fn (): FigureNote => new FigureNote(
            $fields->int('string'),
            $fields->int('fret'),
            $ornament === null ? null : new Ornament($ornament->enum('kind', OrnamentKind::class), $ornament->int('frets')),
        ));
    }

    /** @return array<string, mixed> */
    private static function writeNote(FigureNote $note): array
    {
        return ['string' => $note->string, 'fret' => $note->fret] + ($note->ornament === null ? [] : [
            'ornament' => ['kind' => $note->ornament->kind->value, 'frets' => $note->ornament->frets],
        ]);
    }

    /** The figure as a pattern alone, whose strokes know no notes. */
    private static function withoutNotes(mixed $figure): mixed
    {
        if (! is_array($figure) || ! is_array($figure['streams'] ?? null)) {
            return $figure;
        }

        return ['streams' => array_map(static fn (mixed $stream): mixed => ! is_array($stream) || ! is_array($stream['strokes'] ?? null) ? $stream : [
            'strokes' => array_map(
                static fn (mixed $stroke): mixed => is_array($stroke) ? array_diff_key($stroke, ['notes' => true]) : $stroke,
                $stream['strokes'],
            ),
        ] + $stream, $figure['streams'])] + $figure;
    }
}
