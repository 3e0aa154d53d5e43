<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\FieldNotReadable;
use Gravik\Formats\Internal\Fields;
use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\LengthKind;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\StoppedBy;
use Gravik\Strokes\Stream;
use Gravik\Strokes\StringEnd;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Time\Meter;

/** A stroke pattern as JSON: {ticks, streams: [{name, strokes: [...]}]}. */
final readonly class PatternJson
{
    private const FIELDS = ['at', 'division', 'action', 'direction', 'by', 'strings', 'zone', 'articulation', 'accent', 'length',
        'stoppedBy', 'ends', 'offsetMs', 'ornament', 'chord', 'fixed', 'level'];

    public function read(Fields $fields, Meter $meter): Pattern
    {
        $streams = $fields->list('streams', $this->stream(...), 2);
        if ($streams === []) {
            $streams = [new Stream('strum', [])];
        }

        return $fields->build(static fn (): Pattern => new Pattern($meter, $fields->int('ticks'), $streams));
    }

    /** A pattern of a song: {id, name, meter, school, runsOn?, ticks, streams}. */
    public function named(mixed $value, string $pointer): NamedPattern
    {
        $fields = Fields::of($value, $pointer)->only(['id', 'name', 'meter', 'school', 'runsOn', 'aloneOf', 'ticks', 'streams']);
        $meter = $fields->build(static fn (): Meter => Meter::parse($fields->string('meter')), 'meter');

        return new NamedPattern(
            $fields->string('id'),
            $fields->string('name'),
            $this->read($fields, $meter),
            $fields->enum('school', School::class),
            $fields->has('runsOn') && $fields->bool('runsOn'),
            $fields->has('aloneOf') ? $fields->string('aloneOf') : null,
        );
    }

    /** @return array<string, mixed> */
    public function writeNamed(NamedPattern $named): array
    {
        return ['id' => $named->id, 'name' => $named->name, 'meter' => $named->pattern->meter->text(), 'school' => $named->school->value]
            + ($named->runsOn ? ['runsOn' => true] : [])
            + ($named->aloneOf === null ? [] : ['aloneOf' => $named->aloneOf]) + $this->write($named->pattern);
    }

    /** @return array<string, mixed> */
    public function write(Pattern $pattern): array
    {
        return [
            'ticks' => $pattern->ticks,
            'streams' => array_map(fn (Stream $stream): array => [
                'name' => $stream->name,
                'strokes' => array_map($this->writeStroke(...), $stream->strokes),
            ], $pattern->streams),
        ];
    }

    /** @return array<string, mixed> */
    public function writeStroke(Stroke $stroke): array
    {
        return [
            'at' => $stroke->at,
            'division' => $stroke->division,
            'action' => $stroke->action->value,
            'direction' => $stroke->direction?->value,
            'by' => $stroke->by->value,
        ] + ($stroke->strings instanceof Zone ? ['zone' => $stroke->strings->value] : ['strings' => $stroke->strings]) + [
            'articulation' => $stroke->articulation->value,
            'accent' => $stroke->accent,
            'length' => self::writeLength($stroke->length),
            'stoppedBy' => $stroke->stoppedBy?->value,
            'ends' => array_map(
                static fn (StringEnd $end): array => [
                    'strings' => $end->strings,
                    'length' => self::writeLength($end->length),
                    'stoppedBy' => $end->stoppedBy?->value,
                ],
                $stroke->ends,
            ),
            'offsetMs' => floor($stroke->offsetMs) === $stroke->offsetMs ? (int) $stroke->offsetMs : $stroke->offsetMs,
            'ornament' => $stroke->ornament === null
                ? null
                : ['kind' => $stroke->ornament->kind->value, 'frets' => $stroke->ornament->frets],
            'chord' => $stroke->chord->value,
            'fixed' => $stroke->fixed,
        ] + ($stroke->level === null ? [] : ['level' => $stroke->level]);
    }

    private function stream(mixed $value, string $pointer): Stream
    {
        $fields = Fields::of($value, $pointer)->only(['name', 'strokes']);

        return $fields->build(fn (): Stream => new Stream($fields->string('name'), $fields->list('strokes', $this->stroke(...), 400)));
    }

    private function stroke(mixed $value, string $pointer): Stroke
    {
        $fields = Fields::of($value, $pointer)->only(self::FIELDS);

        return $fields->build(fn (): Stroke => new Stroke(
            $fields->int('at'),
            $fields->int('division'),
            $fields->has('action') ? $fields->enum('action', Action::class) : Action::Strum,
            $fields->has('direction') ? $fields->enum('direction', Direction::class) : null,
            $fields->has('by') ? $fields->enum('by', PlayedBy::class) : PlayedBy::Pick,
            match (true) {
                $fields->has('strings') => $fields->list('strings', Fields::intIn(...), 8),
                $fields->has('zone') => $fields->enum('zone', Zone::class),
                default => Zone::All,
            },
            $fields->has('articulation') ? $fields->enum('articulation', Articulation::class) : Articulation::Ring,
            $fields->has('accent') ? $fields->int('accent') : 1,
            $fields->has('length') ? $this->length($fields->object('length')) : null,
            $fields->has('stoppedBy') ? $fields->enum('stoppedBy', StoppedBy::class) : null,
            $fields->has('ends') ? $fields->list('ends', $this->end(...), 8) : [],
            $fields->has('offsetMs') ? $fields->number('offsetMs') : 0.0,
            $fields->has('ornament') ? $this->ornament($fields->object('ornament')) : null,
            $fields->has('chord') ? $fields->enum('chord', ChordOf::class) : ChordOf::This,
            $fields->has('fixed') ? $fields->list('fixed', Fields::stringIn(...), 16) : [],
            $fields->has('level') ? $fields->int('level') : null,
        ));
    }

    private function length(Fields $fields): Length
    {
        $fields->only(['until', 'share']);
        if ($fields->has('share')) {
            return $fields->build(static fn (): Length => Length::ofSlot($fields->number('share')));
        }

        return $fields->build(static function () use ($fields): Length {
            try {
                return Length::ofTicks($fields->int('until'));
            } catch (DocumentNotReadable) {
                return match ($fields->string('until')) {
                    'next' => Length::untilNextStroke(),
                    'change' => Length::untilChordChange(),
                    default => throw new FieldNotReadable('/until', 'a length lasts until "next", "change" or a number of ticks.'),
                };
            }
        });
    }

    private function end(mixed $value, string $pointer): StringEnd
    {
        $fields = Fields::of($value, $pointer)->only(['strings', 'length', 'stoppedBy']);
        $strings = $fields->list('strings', Fields::intIn(...), 8);
        if ($strings === []) {
            throw new FieldNotReadable($pointer.'/strings', 'name at least one string.');
        }

        return new StringEnd(
            $strings,
            $this->length($fields->object('length')),
            $fields->has('stoppedBy') ? $fields->enum('stoppedBy', StoppedBy::class) : null,
        );
    }

    private function ornament(Fields $fields): Ornament
    {
        $fields->only(['kind', 'frets']);

        return $fields->build(static fn (): Ornament => new Ornament(
            $fields->enum('kind', OrnamentKind::class),
            $fields->has('frets') ? $fields->int('frets') : 0,
        ));
    }

    /** @return array<string, mixed>|null */
    private static function writeLength(?Length $length): ?array
    {
        return match ($length?->kind) {
            null => null,
            LengthKind::UntilNext => ['until' => 'next'],
            LengthKind::UntilChange => ['until' => 'change'],
            LengthKind::InTicks => ['until' => $length->ticks],
            LengthKind::ShareOfSlot => ['share' => $length->share],
        };
    }
}
