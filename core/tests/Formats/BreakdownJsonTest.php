<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Tests\Support\Examples;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

function schemaAccepts(mixed $document, int $version = BreakdownJson::VERSION): bool
{
    return (new Validator())->validate(Helper::toJSON($document), (string) file_get_contents(__DIR__."/../../../resources/schema/breakdown-{$version}.json"))->isValid();
}

it('writes back exactly what it read', function (array $document): void {
    $json = new BreakdownJson();
    $written = $json->write($json->read($document));

    expect($json->write($json->read($written)))->toBe($written)->and($json->parse($json->print($json->read($document))))->toEqual($json->read($document));
})->with(['an old plain one' => [Examples::document()], 'an old one with every field' => [Examples::old()], 'every field' => [Examples::full()]]);

it('keeps every field of a full document as it stood', function (): void {
    expect((new BreakdownJson())->write((new BreakdownJson())->read(Examples::full())))->toEqual(Examples::full());
});

it('writes what its published schema describes', function (array $document): void {
    expect(schemaAccepts((new BreakdownJson())->write((new BreakdownJson())->read($document))))->toBeTrue();
})->with(['an old plain one' => [Examples::document()], 'an old one with every field' => [Examples::old()], 'every field' => [Examples::full()]]);

it('refuses of an old document what its schema refused, and names the place in it', function (array $path, mixed $value, string $pointer): void {
    $document = Examples::old();
    $place = &$document;
    foreach (array_slice($path, 0, -1) as $step) {
        $place = &$place[$step];
    }
    if ($value === 'MISSING') {
        unset($place[end($path)]);
    } else {
        $place[end($path)] = $value;
    }
    unset($place);

    expect(schemaAccepts($document, 1))->toBeFalse();
    try {
        (new BreakdownJson())->read($document);
        $this->fail('it was read');
    } catch (DocumentNotReadable $problem) {
        expect($problem->pointer)->toBe($pointer)->and($problem->getMessage())->not->toBe('');
    }
})->with([
    'no title' => [['title'], 'MISSING', ''],
    'a title that is a number' => [['title'], 7, '/title'],
    'a field nobody knows' => [['colour'], 'red', ''],
    'tempo 0' => [['tempo'], 0, '/tempo'],
    'tempo 10,000' => [['tempo'], 10000, '/tempo'],
    'a swing of 5' => [['feel', 'ratio'], 5, '/feel'],
    'an unknown unit' => [['feel', 'unit'], 'quarter', '/feel/unit'],
    'a meter nobody counts' => [['meter'], '4/3', '/meter'],
    'an unknown company' => [['company'], 'choir', '/company'],
    'no sections' => [['sections'], [], '/sections'],
    'sections that are an object' => [['sections'], ['name' => 'A', 'line' => ''], '/sections'],
    'a section without a line' => [['sections', 0, 'line'], 'MISSING', '/sections/0'],
    'a fret that is a word' => [['pins', 0, 'frets', 1], 'five', '/pins/0/frets/1'],
    'an accent past the hardest' => [['pattern', 'streams', 0, 'strokes', 0, 'accent'], 9, '/pattern/streams/0/strokes/0'],
    'a division in five' => [['pattern', 'streams', 1, 'strokes', 0, 'division'], 5, '/pattern/streams/1/strokes/0'],
    'an unknown articulation' => [['pattern', 'streams', 1, 'strokes', 0, 'articulation'], 'slam', '/pattern/streams/1/strokes/0/articulation'],
    'a bass that leaps' => [['path', 'bass'], 'leaping', '/path/bass'],
    'a weight beyond measure' => [['path', 'weights', 'top'], 99, '/path/weights'],
    'an unknown school' => [['school'], 'windmill', '/school'],
    'a part nobody plays' => [['band', 'parts', 0, 'name'], 'kazoo', '/band/parts'],
    'a level past full' => [['band', 'parts', 0, 'level'], 2, '/band/parts'],
    'notes that are a list' => [['notes'], ['a'], '/notes'],
    'another format' => [['format'], 'song', '/format'],
    'a version before the first' => [['version'], 0, '/version'],
]);

it('refuses what only the meaning forbids, naming the place', function (array $fields, string $pointer, string $message): void {
    try {
        (new BreakdownJson())->read(Examples::document($fields));
        $this->fail('it was read');
    } catch (DocumentNotReadable $problem) {
        expect($problem->pointer)->toBe($pointer)->and($problem->getMessage())->toContain($message);
    }
})->with([
    'a key that is none' => [['key' => 'H dorian'], '/key', 'is no key'],
    'a tuning that is none' => [['tuning' => 'banjo'], '/tuning', 'is no tuning'],
    'strings that are not there' => [['path' => ['window' => '0-15', 'strings' => '9-1', 'keepTop' => false, 'bass' => 'free', 'parallel' => false, 'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1]]], '', 'names no strings'],
    'a groove of another meter' => [['band' => ['groove' => 'slipway-waltz', 'parts' => []]], '/band/groove', 'Choose a groove in 4/4'],
    'slots that do not fit' => [['pattern' => ['ticks' => 3840, 'streams' => [['name' => 's', 'strokes' => [['at' => 100, 'division' => 2]]]]]], '/pattern', 'does not lie on a beat'],
    'a pattern of half a bar' => [['pattern' => ['ticks' => 1920, 'streams' => []]], '/pattern', 'one to four whole bars'],
]);

it('says that a file is none of ours', function (string $file): void {
    (new BreakdownJson())->parse($file);
})->with(['', 'not json', '[]', '"breakdown"', 'null', '{"format":"other"}', str_repeat('[', 200), "\xFF\xD8\xFF"])->throws(DocumentNotReadable::class, 'This file is not a breakdown');
