<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Move;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\VoicingLine;
use Gravik\Formats\Failure\FieldNotReadable;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Line\BassMotion;
use Gravik\Neck\Line\PathWeights;
use Gravik\Neck\Line\PathWishes;

/**
 * The lines of grips of a document, and the moves to its chords.
 *
 * @internal used by BreakdownJson
 */
final readonly class LinesJson
{
    public function __construct(private SongJson $song = new SongJson()) {}

    public function line(mixed $value, string $pointer): VoicingLine
    {
        $fields = Fields::of($value, $pointer)->only(['id', 'name', 'company', 'wishes', 'pins', 'aloneOf']);

        return $fields->build(fn (): VoicingLine => new VoicingLine(
            $fields->string('id'),
            $fields->string('name'),
            $fields->enum('company', Company::class),
            $fields->has('wishes') ? $this->wishes($fields->object('wishes')) : new PathWishes(),
            $fields->list('pins', $this->pin(...), 2000),
            $fields->has('aloneOf') ? $fields->string('aloneOf') : null,
        ));
    }

    /** @return array<string, mixed> */
    public function writeLine(VoicingLine $line): array
    {
        return [
            'id' => $line->id,
            'name' => $line->name,
            'company' => $line->company->value,
            'wishes' => self::writeWishes($line->wishes),
            'pins' => array_map(self::writePin(...), $line->pins),
        ] + ($line->aloneOf === null ? [] : ['aloneOf' => $line->aloneOf]);
    }

    /** @return array<string, mixed> */
    public static function writePin(Pin $pin): array
    {
        return ['at' => self::writePlace($pin->at), 'symbol' => $pin->symbol, 'frets' => $pin->frets]
            + ($pin->linked ? ['linked' => true] : [])
            + ($pin->nickname === '' ? [] : ['nickname' => $pin->nickname]);
    }

    /** @return array{section: string, ending: ?int, bar: int, tick: int} */
    public static function writePlace(Place $place): array
    {
        return ['section' => $place->section, 'ending' => $place->ending, 'bar' => $place->bar, 'tick' => $place->tick];
    }

    public function move(mixed $value, string $pointer): Move
    {
        $fields = Fields::of($value, $pointer)->only(['id', 'name', 'rule']);
        $rule = $fields->object('rule')->only(['kind', 'steps', 'slotTicks']);

        return $rule->build(static fn (): Move => new Move(
            $fields->string('id'),
            $fields->string('name'),
            $rule->enum('kind', ApproachKind::class),
            $rule->int('steps'),
            $rule->int('slotTicks'),
        ));
    }

    /** @return array<string, mixed> */
    public function writeMove(Move $move): array
    {
        return [
            'id' => $move->id,
            'name' => $move->name,
            'rule' => ['kind' => $move->kind->value, 'steps' => $move->steps, 'slotTicks' => $move->slotTicks],
        ];
    }

    /** @param list<Move> $moves of the document */
    public function placed(mixed $value, string $pointer, array $moves): PlacedMove
    {
        $fields = Fields::of($value, $pointer)->only(['what', 'at', 'symbol', 'passes', 'times']);
        $move = array_values(array_filter($moves, static fn (Move $each): bool => $each->id === $fields->string('what')))[0]
            ?? throw new FieldNotReadable($pointer.'/what', 'this is none of the moves and figures of this breakdown.');

        return new PlacedMove(
            $move,
            $this->song->place($fields->object('at')),
            $fields->string('symbol'),
            $fields->has('passes') ? $fields->list('passes', Fields::stringIn(...), Breakdown::MOST['passes']) : null,
            $fields->has('times') ? $fields->list('times', Fields::intIn(...), Breakdown::MOST['form']) : null,
        );
    }

    /** @return array<string, mixed> */
    public function writePlaced(PlacedMove $placed): array
    {
        return ['what' => $placed->move->id, 'at' => self::writePlace($placed->at), 'symbol' => $placed->symbol]
            + array_filter(['passes' => $placed->passes, 'times' => $placed->times], static fn (?array $names): bool => $names !== null);
    }

    private function pin(mixed $value, string $pointer): Pin
    {
        $fields = Fields::of($value, $pointer)->only(['at', 'symbol', 'frets', 'linked', 'nickname']);

        return $fields->build(fn (): Pin => new Pin(
            $this->song->place($fields->object('at')),
            $fields->string('symbol'),
            $fields->list('frets', Fields::intOrNull(...), 8),
            $fields->has('linked') && $fields->bool('linked'),
            $fields->has('nickname') ? $fields->string('nickname') : '',
        ));
    }

    private function wishes(Fields $fields): PathWishes
    {
        $fields->only(['window', 'strings', 'keepTop', 'bass', 'parallel', 'weights', 'loop']);
        $weights = $fields->object('weights')->only(['shift', 'fingers', 'top', 'rank']);

        return $fields->build(static fn (): PathWishes => new PathWishes(
            $fields->build(static fn (): FretRange => FretRange::parse($fields->string('window')), 'window'),
            $fields->string('strings'),
            $fields->bool('keepTop'),
            $fields->enum('bass', BassMotion::class),
            $fields->bool('parallel'),
            $weights->build(static fn (): PathWeights => new PathWeights(
                $weights->number('shift'),
                $weights->number('fingers'),
                $weights->number('top'),
                $weights->number('rank'),
            )),
            $fields->has('loop') && $fields->bool('loop'),
        ));
    }

    /** @return array<string, mixed> */
    private static function writeWishes(PathWishes $wishes): array
    {
        $weights = $wishes->weights;

        return [
            'window' => $wishes->window->lowest.'-'.$wishes->window->highest,
            'strings' => $wishes->strings,
            'keepTop' => $wishes->keepTop,
            'bass' => $wishes->bass->value,
            'parallel' => $wishes->parallel,
            'weights' => array_map(
                Plain::number(...),
                ['shift' => $weights->shift, 'fingers' => $weights->fingers, 'top' => $weights->top, 'rank' => $weights->rank],
            ),
        ] + ($wishes->loop ? ['loop' => true] : []);
    }
}
