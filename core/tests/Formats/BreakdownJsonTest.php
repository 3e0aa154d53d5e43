<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Formats\HandSketch;
use Gravik\Strokes\Action;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

function schemaAccepts(mixed $document, int $version = BreakdownJson::VERSION): bool
{
    return (new Validator())->validate(
        Helper::toJSON($document),
        (string) file_get_contents(__DIR__."/../../../resources/schema/breakdown-{$version}.json"),
    )->isValid();
}

it('writes back exactly what it read', function (array $document): void {
    $json = new BreakdownJson();
    $written = $json->write($json->read($document));

    expect($json->write($json->read($written)))->toBe($written)
        ->and($json->parse($json->print($json->read($document))))->toEqual($json->read($document));
})->with([
    'an old plain one' => [Examples::document()],
    'an old one with every field' => [Examples::old()],
    'every field' => [Examples::full()],
]);

it('keeps every field of a full document as it stood', function (): void {
    expect((new BreakdownJson())->write((new BreakdownJson())->read(Examples::full())))->toEqual(Examples::full());
});

it('writes what its published schema describes', function (array $document): void {
    expect(schemaAccepts((new BreakdownJson())->write((new BreakdownJson())->read($document))))->toBeTrue();
})->with([
    'an old plain one' => [Examples::document()],
    'an old one with every field' => [Examples::old()],
    'every field' => [Examples::full()],
]);

it('refuses of an old document what its schema refused, and names the place in it', function (
    array $path,
    mixed $value,
    string $pointer,
): void {
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
    'an unknown articulation' => [
        ['pattern', 'streams', 1, 'strokes', 0, 'articulation'],
        'slam',
        '/pattern/streams/1/strokes/0/articulation',
    ],
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
    'strings that are not there' => [
        ['path' => [
            'window' => '0-15',
            'strings' => '9-1',
            'keepTop' => false,
            'bass' => 'free',
            'parallel' => false,
            'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
        ]],
        '',
        'names no strings',
    ],
    'a groove of another meter' => [['band' => ['groove' => 'slipway-waltz', 'parts' => []]], '/band/groove', 'Choose a groove in 4/4'],
    'slots that do not fit' => [
        ['pattern' => ['ticks' => 3840, 'streams' => [['name' => 's', 'strokes' => [['at' => 100, 'division' => 2]]]]]],
        '/pattern',
        'does not lie on a beat',
    ],
    'a pattern of half a bar' => [['pattern' => ['ticks' => 1920, 'streams' => []]], '/pattern', 'one to four whole bars'],
]);

it('says that a file is none of ours', function (string $file): void {
    (new BreakdownJson())->parse($file);
})->with(['', 'not json', '[]', '"breakdown"', 'null', '{"format":"other"}', str_repeat('[', 200), "\xFF\xD8\xFF"])->throws(
    DocumentNotReadable::class,
    'This file is not a breakdown',
);

it('holds so many of a kind and says where there is one more', function (string $list, int $most): void {
    $full = Examples::full();
    $filled = static fn (int $count): array => [$list => array_map(
        static fn (int $number): array => $full[$list][$number]
            ?? (isset($full[$list][0]['id']) ? ['id' => "n{$number}"] : []) + end($full[$list]),
        range(0, $count - 1),
    )] + $full;

    expect((new BreakdownJson())->write((new BreakdownJson())->read($filled($most)))[$list])->toHaveCount($most)
        ->and(fn () => (new BreakdownJson())->read($filled($most + 1)))->toThrow(DocumentNotReadable::class, "{$most} is the most");
})->with([
    ['sections', 24],
    ['form', 64],
    ['patterns', 40],
    ['lines', 12],
    ['parts', 12],
    ['passes', 64],
    ['cells', 200],
    ['moves', 200],
    ['placed', 400],
]);

it('refuses what does not hold together, and points to it', function (callable $spoil, string $pointer, string $message): void {
    try {
        (new BreakdownJson())->read($spoil(Examples::full()));
        $this->fail('it was read');
    } catch (DocumentNotReadable $problem) {
        expect($problem->pointer)->toBe($pointer)->and($problem->getMessage())->toContain($message);
    }
})->with(static function (): array {
    $with = static fn (array $path, mixed $value): callable => static function (array $document) use ($path, $value): array {
        $place = &$document;
        foreach ($path as $step) {
            $place = &$place[$step];
        }
        $place = $value;

        return $document;
    };

    return [
        'a form of a section that is not there' => [$with(['form', 0, 'section'], 'z'), '/form/0/section', '"z" is none of the sections'],
        'a pin in a section that is not there' => [
            $with(['lines', 0, 'pins', 0, 'at', 'section'], 'z'),
            '/lines/0/pins/0/at/section',
            '"z" is none of the sections',
        ],
        'a cell for a part that is not there' => [
            $with(['passes', 1, 'cells', 0, 'part'], 'horns'),
            '/passes/1/cells/0/part',
            '"horns" is none of the parts',
        ],
        'a cell with a pattern that is not there' => [
            $with(['passes', 1, 'cells', 0, 'pattern'], 'p9'),
            '/passes/1/cells/0/pattern',
            '"p9" is none of the patterns',
        ],
        'a cell with a line that is not there' => [
            $with(['passes', 1, 'cells', 0, 'line'], 'mid'),
            '/passes/1/cells/0/line',
            '"mid" is none of the lines',
        ],
        'a move that is not there' => [$with(['placed', 0, 'what'], 'm7'), '/placed/0/what', 'none of the moves'],
        'a pass that is not there' => [$with(['placed', 0, 'passes', 0], '7'), '/placed/0/passes/0', '"7" is none of the passes'],
        'two sections of one id' => [$with(['sections', 1, 'id'], 'a'), '/sections/1/id', 'is there twice'],
        'an id with a space' => [$with(['patterns', 0, 'id'], 'p 1'), '/patterns/0/id', 'cannot be an id'],
        'an ending without a repeat' => [
            $with(['form'], [['section' => 'a', 'times' => 1], ['section' => 'b', 'times' => 1]]),
            '/sections/0/endings/0',
            'comes only once',
        ],
        'an ending for a time that never comes' => [
            $with(['sections', 0, 'endings', 0, 'times'], [5]),
            '/sections/0/endings/0/times',
            'it comes 3 times',
        ],
        'two endings for one time' => [
            $with(['sections', 0, 'endings', 0, 'times'], [1, 2]),
            '/sections/0/endings/1/times',
            'two endings for time 2',
        ],
        'a waltz pattern named for a section in four' => [
            $with(['passes', 1, 'cells', 0, 'pattern'], 'p2'),
            '/passes/1/cells/0/pattern',
            'Choose a pattern in 4/4',
        ],
        'a section whose meter no pattern has' => [
            $with(['sections', 1, 'from', 'meter'], '5/4'),
            '/sections/1',
            'no pattern is. Add one in 5/4',
        ],
        'a meter change within a section' => [
            $with(['sections', 0, 'meters'], [['bar' => 1, 'meter' => '3/4']]),
            '/sections/0',
            '"meters" is not known here',
        ],
        'four hundred passes' => [
            $with(
                ['passes'],
                array_map(
                    static fn (int $number): array => ['id' => "{$number}", 'name' => '', 'notes' => '', 'cells' => []],
                    range(1, 400),
                ),
            ),
            '/passes',
            '64 is the most',
        ],
        'more bars than can be played' => [
            static fn (array $document): array => [
                'sections' => [
                    ['id' => 'a', 'name' => 'A', 'line' => str_repeat('| D ', 200).'|'],
                    ['id' => 'b', 'name' => 'B', 'line' => ''],
                ],
                'form' => [['section' => 'a', 'times' => 16]],
            ]
                + $document,
            '/passes',
            'more than 2000 bars',
        ],
        'a band without a guitar' => [
            $with(
                ['parts'],
                [['id' => 'drums', 'instrument' => 'drums', 'level' => 1, 'offsetMs' => 0, 'straight' => false, 'groove' => 'shuffle']],
            ),
            '/passes/1/cells/0/part',
            '"guitar" is none of the parts',
        ],
        'a guitar that plays a groove' => [$with(['parts', 0, 'groove'], 'shuffle'), '/parts/0', 'plays no groove'],
        'drums without a groove' => [$with(['parts', 1, 'groove'], null), '/parts/1', 'none is named'],
        'a figure made of a figure' => [$with(['figures'], [['id' => 'f1', 'of' => 'f1']]), '/figures/0', '"of" is not known here'],
        'a figure with the id of a move' => [
            static fn (array $document): array => ['placed' => []] + $with(['figures', 0, 'id'], 'm1')($document), '/figures/0/id', 'is there twice',
        ],
        'a figure on a seventh string' => [
            $with(['figures', 0, 'streams', 0, 'strokes', 0, 'notes', 0, 'string'], 7), '/figures/0', 'the guitar has 6',
        ],
        'a note beyond every neck' => [
            $with(
                ['figures', 0, 'streams', 0, 'strokes', 0, 'notes', 0, 'fret'],
                25,
            ), '/figures/0/streams/0/strokes/0/notes/0', 'no place on a neck',
        ],
        'a figure in a section of another meter' => [$with(['placed', 1, 'at', 'section'], 'b'), '/placed/1', 'Choose a pattern in 3/4'],
        'a figure three octaves up' => [$with(['placed', 1, 'octave'], 3), '/placed/1', 'at most two octaves'],
        'a figure in no pass' => [$with(['placed', 1, 'passes', 0], 'nobody'), '/placed/1/passes/0', 'none of the passes'],
        'a stage that no lesson has' => [$with(['lesson', 0, 'stage'], 'encore'), '/lesson/0/stage', 'no such stage'],
        'a tempo that stands still' => [$with(['sections', 1, 'from', 'tempo'], 0), '/sections/1/from/tempo', 'Choose 20 to 400'],
        'a newer version' => [$with(['version'], 3), '/version', 'this Gravik reads versions 1 to 2. Update Gravik'],
    ];
});

it('holds so many cells in a pass, and so many frets in a pin', function (): void {
    $full = Examples::full();
    $cells = static function (int $count) use ($full): array {
        $full['passes'][1]['cells'] = array_fill(0, $count, ['part' => 'drums', 'section' => 'b', 'role' => 'out']);

        return $full;
    };
    $full['lines'][0]['pins'][0]['frets'] = array_fill(0, 9, null);

    expect(count((new BreakdownJson())->read($cells(200))->passes[1]->cells))->toBe(200)
        ->and(static fn () => (new BreakdownJson())->read($cells(201)))->toThrow(DocumentNotReadable::class, '200 is the most')
        ->and(static fn () => (new BreakdownJson())->read($full))->toThrow(DocumentNotReadable::class, '8 is the most');
});

it('sketches a hand in beats as they sound, what is dead as a chuck', function (): void {
    $pattern = new Pattern(Meter::parse('4/4'), 3840, [new Stream('s', [
        new Stroke(0, 2), new Stroke(480, 2, action: Action::Slap), new Stroke(1920, 1), new Stroke(2880, 3), new Stroke(3200, 3),
    ])]);
    $ruler = new Ruler($pattern->meter, new Tempo(100), Feel::fixed(2));
    $sketch = HandSketch::of((new HandPlanner())->plan($pattern, School::AllDown, $ruler, Feel::fixed(2)), $ruler);

    expect(array_column($sketch['strokes'], 'beats'))->toBe([0.0, 0.666667, 2.0, 3.0, 3.333333])
        ->and(array_column($sketch['strokes'], 'kind'))->toBe(['ring', 'chuck', 'ring', 'ring', 'ring'])
        ->and([$sketch['beats'], $sketch['beats_a_bar'], $sketch['p']])->toBe([4, 4, 0.666667]);
});
