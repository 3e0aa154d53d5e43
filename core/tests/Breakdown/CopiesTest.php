<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Approach;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Pin;
use Gravik\Formats\BreakdownJson;
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

    keepsAllBut($breakdown, $breakdown->with(tempo: new Tempo(77)), ['tempo']);
});

it('keeps every other field of a pin and an approach that go elsewhere', function (): void {
    $pin = new Pin(1, 2, 480, 'Dm6', [null, 5, 7, 5, 6, null], true);
    $approach = new Approach(1, 2, 480, 'Dm6', ApproachKind::WalkUp, 3, 480);

    keepsAllBut($pin, $pin->inSection(4), ['section']);
    keepsAllBut($pin, $pin->movedBy(2, 'Em6') ?? $pin, ['symbol', 'frets']);
    keepsAllBut($pin, $pin->movedBy(0, 'Cm6') ?? $pin, ['symbol']);
    keepsAllBut($pin, $pin->shifted(-1) ?? $pin, ['frets']);
    keepsAllBut($approach, $approach->inSection(4), ['section']);
    keepsAllBut($approach, $approach->to('Em6'), ['symbol']);
});
