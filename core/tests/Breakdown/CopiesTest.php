<?php

declare(strict_types=1);

use Gravik\Band\Groove;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Strokes\School;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;

// A copy with something changed keeps all the rest: every field of the value is compared, so one that is added later is too.

/** @param list<string> $changed */
function keepsAllBut(object $before, object $after, array $changed): void
{
    foreach (get_object_vars($before) as $field => $value) {
        in_array($field, $changed, true)
            ? expect($after->{$field})->not->toEqual($value, $field)
            : expect($after->{$field})->toEqual($value, $field);
    }
}

/** Every field of it is other than what a constructor without it would set. */
function fullBreakdown(): Breakdown
{
    $breakdown = (new BreakdownJson())->read(Examples::full());
    foreach ((new ReflectionClass(Breakdown::class))->getConstructor()?->getParameters() ?? [] as $parameter) {
        if ($parameter->isDefaultValueAvailable()) {
            expect($breakdown->{$parameter->getName()})->not->toEqual($parameter->getDefaultValue(), $parameter->getName());
        }
    }

    return $breakdown;
}

it('keeps every other field of a breakdown when one is changed', function (): void {
    $breakdown = fullBreakdown();

    keepsAllBut($breakdown, $breakdown->with(start: $breakdown->start->with(tempo: new Tempo(77))), ['start']);
});

it('keeps every other field of what goes elsewhere', function (): void {
    $breakdown = fullBreakdown();
    $pin = new Pin(new Place('a', 1, 2, 480), 'Dm6', [null, 5, 7, 5, 6, null], true);
    $elsewhere = new Place('b', null, 0, 0);

    keepsAllBut($pin, $pin->with(at: $elsewhere), ['at']);
    keepsAllBut($pin, $pin->movedBy(2, 'Em6') ?? $pin, ['symbol', 'frets']);
    keepsAllBut($pin, $pin->movedBy(0, 'Cm6') ?? $pin, ['symbol']);
    keepsAllBut($pin, $pin->shifted(-1) ?? $pin, ['frets']);
    keepsAllBut($breakdown->placed[0], $breakdown->placed[0]->with(at: $elsewhere), ['at']);
    keepsAllBut($breakdown->placed[0], $breakdown->placed[0]->with(symbol: 'Em6'), ['symbol']);
    keepsAllBut($breakdown->sections[1], $breakdown->sections[1]->with(line: '| G |'), ['line']);
    keepsAllBut($breakdown->sections[0], $breakdown->sections[0]->with(endings: []), ['endings']);
    keepsAllBut($breakdown->patterns[0], $breakdown->patterns[0]->with(school: School::Pendulum), ['school']);
    keepsAllBut($breakdown->lines[0], $breakdown->lines[0]->with(pins: []), ['pins']);
    keepsAllBut($breakdown->parts[1], $breakdown->parts[1]->with(groove: Groove::named('four-walk')), ['groove']);
});
