<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Mark;
use Gravik\Breakdown\Marked;
use Gravik\Breakdown\MarkedValue;
use Gravik\Breakdown\MarkKind;

/**
 * The marks of a document: what is unsure, what may be either way, what is meant as colour.
 *
 * @internal used by BreakdownJson
 */
final readonly class MarksJson
{
    public function __construct(private SongJson $song = new SongJson()) {}

    public function read(mixed $value, string $pointer): Mark
    {
        $fields = Fields::of($value, $pointer)->only(['on', 'is', 'other', 'note']);
        $on = $fields->object('on')->only(['what', 'field', 'id', 'at', 'stream', 'tick']);
        $marked = $on->build(fn (): MarkedValue => new MarkedValue(
            $on->enum('what', Marked::class),
            $on->string('field'),
            $on->has('id') ? $on->string('id') : '',
            $on->has('at') ? $this->song->place($on->object('at')) : null,
            $on->has('stream') ? $on->int('stream') : 0,
            $on->has('tick') ? $on->int('tick') : 0,
        ));

        return $fields->build(static fn (): Mark => new Mark(
            $marked,
            $fields->enum('is', MarkKind::class),
            $fields->has('other') ? $fields->string('other') : '',
            $fields->has('note') ? $fields->string('note') : '',
        ));
    }

    /** @return array<string, mixed> */
    public function write(Mark $mark): array
    {
        $on = $mark->on;

        return [
            'on' => ['what' => $on->what->value, 'field' => $on->field]
                + ($on->id === '' ? [] : ['id' => $on->id])
                + ($on->at === null ? [] : ['at' => LinesJson::writePlace($on->at)])
                + ($on->what === Marked::Stroke ? ['stream' => $on->stream, 'tick' => $on->tick] : []),
            'is' => $mark->is->value,
        ] + ($mark->other === '' ? [] : ['other' => $mark->other]) + ($mark->note === '' ? [] : ['note' => $mark->note]);
    }
}
