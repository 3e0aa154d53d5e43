<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Band\Register;
use Gravik\Band\Role;
use Gravik\Band\Seat;
use Gravik\Band\Timbre;
use Gravik\Band\Way;
use Gravik\Breakdown\BalanceNote;
use Gravik\Breakdown\BalanceVerdict;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Texture;
use Gravik\Chart\Form;

/**
 * The parts of a document, and its passes with what is different in them.
 *
 * @internal used by BreakdownJson
 */
final readonly class BandJson
{
    public function __construct(private TuneJson $tunes = new TuneJson()) {}

    public function part(mixed $value, string $pointer): BandPart
    {
        $fields = Fields::of($value, $pointer)->only([
            'id', 'instrument', 'level', 'offsetMs', 'straight', 'groove', 'register', 'plays', 'sound', 'tune',
        ]);

        return $fields->build(fn (): BandPart => new BandPart(
            $fields->string('id'),
            $fields->enum('instrument', Instrument::class),
            $fields->number('level'),
            $fields->number('offsetMs'),
            $fields->bool('straight'),
            self::groove($fields),
            self::register($fields),
            $fields->has('plays') ? $fields->enum('plays', Way::class) : null,
            $fields->has('sound') ? $fields->enum('sound', Timbre::class) : null,
            $fields->has('tune') ? $this->tunes->read($fields->object('tune')) : null,
        ));
    }

    /** @return array<string, mixed> */
    public function writePart(BandPart $part): array
    {
        return [
            'id' => $part->id,
            'instrument' => $part->instrument->value,
            'level' => Plain::number($part->level),
            'offsetMs' => Plain::number($part->offsetMs),
            'straight' => $part->straight,
        ] + ($part->groove === null ? [] : ['groove' => $part->groove->slug])
            + ($part->register === null ? [] : ['register' => [$part->register->low, $part->register->high]])
            + ($part->way === null ? [] : ['plays' => $part->way->value])
            + ($part->timbre === null ? [] : ['sound' => $part->timbre->value])
            + ($part->tune === null ? [] : ['tune' => $this->tunes->write($part->tune)]);
    }

    public function pass(mixed $value, string $pointer): Pass
    {
        $fields = Fields::of($value, $pointer)->only(['id', 'name', 'notes', 'cells', 'lead']);

        return $fields->build(fn (): Pass => new Pass(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('notes'),
            $fields->list('cells', $this->cell(...), Breakdown::MOST['cells']),
            $fields->has('lead') ? $fields->string('lead') : '',
        ));
    }

    /** @return array<string, mixed> */
    public function writePass(Pass $pass): array
    {
        return [
            'id' => $pass->id,
            'name' => $pass->name,
            'notes' => $pass->notes,
            'cells' => array_map($this->writeCell(...), $pass->cells),
        ] + ($pass->lead === '' ? [] : ['lead' => $pass->lead]);
    }

    public function cell(mixed $value, string $pointer): Cell
    {
        $fields = Fields::of($value, $pointer)->only([
            'part', 'section', 'times', 'bars', 'role', 'pattern', 'line', 'level', 'groove', 'texture', 'dynamic', 'note',
        ]);

        return $fields->build(static fn (): Cell => new Cell(
            $fields->string('part'),
            $fields->has('section') ? $fields->string('section') : null,
            $fields->has('times') ? $fields->list('times', Fields::intIn(...), Breakdown::MOST['form']) : null,
            $fields->has('role') ? $fields->enum('role', Role::class) : null,
            $fields->has('pattern') ? $fields->string('pattern') : null,
            $fields->has('line') ? $fields->string('line') : null,
            $fields->has('level') ? $fields->int('level') : null,
            self::groove($fields),
            $fields->has('bars') ? $fields->list('bars', Fields::intIn(...), Form::MOST_BARS) : null,
            $fields->has('texture') ? $fields->enum('texture', Texture::class) : null,
            $fields->has('dynamic') ? $fields->int('dynamic') : null,
            $fields->has('note') ? $fields->string('note') : null,
        ));
    }

    /** @return array<string, mixed> */
    public function writeCell(Cell $cell): array
    {
        return ['part' => $cell->part] + array_filter([
            'section' => $cell->section,
            'times' => $cell->times,
            'bars' => $cell->bars,
            'role' => $cell->role?->value,
            'pattern' => $cell->pattern,
            'line' => $cell->line,
            'level' => $cell->level,
            'groove' => $cell->groove?->slug,
            'texture' => $cell->texture?->value,
            'dynamic' => $cell->dynamic,
            'note' => $cell->note,
        ], static fn (mixed $value): bool => $value !== null);
    }

    public function balance(mixed $value, string $pointer): BalanceNote
    {
        $fields = Fields::of($value, $pointer)->only(['on', 'seat', 'gainDb', 'verdict']);

        return $fields->build(static fn (): BalanceNote => new BalanceNote(
            $fields->string('on'),
            $fields->enum('seat', Seat::class),
            $fields->has('gainDb') ? $fields->number('gainDb') : null,
            $fields->enum('verdict', BalanceVerdict::class),
        ));
    }

    /** @return array<string, mixed> */
    public function writeBalance(BalanceNote $note): array
    {
        return ['on' => $note->on, 'seat' => $note->seat->value]
            + ($note->gainDb === null ? [] : ['gainDb' => Plain::number($note->gainDb)])
            + ['verdict' => $note->verdict->value];
    }

    private static function register(Fields $fields): ?Register
    {
        if (! $fields->has('register')) {
            return null;
        }
        [$low, $high] = [...$fields->list('register', Fields::intIn(...), 2), 0, 0];

        return $fields->build(static fn (): Register => new Register($low, $high), 'register');
    }

    private static function groove(Fields $fields): ?Groove
    {
        return $fields->has('groove') ? $fields->build(static fn (): Groove => Groove::named($fields->string('groove')), 'groove') : null;
    }
}
