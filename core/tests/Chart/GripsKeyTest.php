<?php

declare(strict_types=1);

use Gravik\Chart\GripsKey;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;

/** @param array<string, mixed> $fields */
function gripsKeyOf(array $fields): string
{
    $breakdown = (new BreakdownJson())->read(array_replace_recursive(Examples::full(), $fields));

    return GripsKey::of($breakdown->written(), $breakdown->neck, $breakdown->lines[0]);
}

it('stays while nothing changes that the grips of a line depend on', function (array $fields): void {
    expect(gripsKeyOf($fields))->toBe(gripsKeyOf([]));
})->with([
    'tempo and feel' => [['start' => ['tempo' => 90, 'feel' => ['mode' => 'fixed', 'ratio' => 2]]]],
    'strokes' => [['patterns' => [['school' => 'pendulum']]]],
    'the band' => [['parts' => [1 => ['level' => 1]]]],
    'another line' => [['lines' => [1 => ['company' => 'alone']]]],
    'a cell of a pass' => [['passes' => [1 => ['cells' => [['level' => 1]]]]]],
    'how often a section comes' => [['form' => [['times' => 3]]]],
    'names' => [['title' => 'Ebb', 'lines' => [['name' => 'by the bridge']]]],
]);

it('changes with everything that they depend on', function (array $fields): void {
    expect(gripsKeyOf($fields))->not->toBe(gripsKeyOf([]));
})->with([
    'a chord' => [['sections' => [1 => ['line' => '| F | C7 |']]]],
    'a chord of an ending' => [['sections' => [['endings' => [['line' => '| A7♭9 |']]]]]],
    'the beat it comes on' => [['sections' => [['endings' => [1 => ['line' => '| Gm / A7 | Dm |']]]]]],
    'tuning' => [['guitar' => ['tuning' => 'standard']]],
    'capo' => [['guitar' => ['capo' => 3]]],
    'company' => [['lines' => [['company' => 'with-bass']]]],
    'a pin' => [['lines' => [['pins' => [['frets' => [null, 5, 7, 4, 6, 5]]]]]]],
    'a wish' => [['lines' => [['wishes' => ['keepTop' => false]]]]],
    'a weight' => [['lines' => [['wishes' => ['weights' => ['shift' => 4.6]]]]]],
]);
