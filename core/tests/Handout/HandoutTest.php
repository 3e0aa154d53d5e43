<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Mark;
use Gravik\Breakdown\Marked;
use Gravik\Breakdown\MarkedValue;
use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\Toolbox;
use Gravik\Handout\HandoutException;
use Gravik\Handout\HandoutLayout;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Page;
use Gravik\Handout\Paper;
use Gravik\Handout\Part;
use Gravik\Handout\Song;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;

function onPaper(Breakdown $song): Song
{
    $voiced = [];
    foreach ($song->linesPlayed() as $line) {
        $voiced[$line->id] = Toolbox::of($song, $line)->voiced();
    }

    return new Song($song, (new Performer())->perform($song, null, $voiced), (new LessonPlanner())->plan($song, $voiced), $voiced);
}

/** @return non-empty-list<Page> */
function pagesOf(Breakdown $song, ?HandoutWishes $wishes = null): array
{
    return (new HandoutLayout())->pages(onPaper($song), $wishes ?? HandoutWishes::everything());
}

function drawingOf(Page $page): DOMXPath
{
    $document = new DOMDocument();
    $document->loadXML($page->svg);
    $path = new DOMXPath($document);
    $path->registerNamespace('s', 'http://www.w3.org/2000/svg');

    return $path;
}

/** @param non-empty-list<Page> $pages */
function textOf(array $pages): string
{
    return implode("\n", array_map(static function (Page $page): string {
        $texts = [];
        foreach (drawingOf($page)->query('//s:text') ?: [] as $text) {
            $texts[] = $text->textContent;
        }

        return implode("\n", $texts);
    }, $pages));
}

/** Where something stands on its page, through all that it is moved and scaled by. @return array{float, float} */
function placeOf(DOMElement $element, float $x, float $y): array
{
    for ($node = $element->parentNode; $node instanceof DOMElement; $node = $node->parentNode) {
        $by = $node->getAttribute('transform');
        if (preg_match('/scale\(([\d.]+)\)/', $by, $scale) === 1) {
            [$x, $y] = [$x * (float) $scale[1], $y * (float) $scale[1]];
        }
        if (preg_match('/translate\((-?[\d.]+) (-?[\d.]+)\)/', $by, $moved) === 1) {
            [$x, $y] = [$x + (float) $moved[1], $y + (float) $moved[2]];
        }
    }

    return [$x, $y];
}

it('cuts no line: every piece stands within the margins of some side', function (Breakdown $song, HandoutWishes $wishes): void {
    [$width, $height] = $wishes->paper->size();
    $pages = pagesOf($song, $wishes);
    foreach ($pages as $page) {
        foreach (drawingOf($page)->query('//s:text | //s:line[not(ancestor::s:pattern)] | //s:rect[@stroke]') ?: [] as $element) {
            foreach ([['x', 'y'], ['x1', 'y1'], ['x2', 'y2']] as [$across, $down]) {
                if ($element->hasAttribute($across)) {
                    [$x, $y] = placeOf($element, (float) $element->getAttribute($across), (float) $element->getAttribute($down));
                    expect($x)->toBeBetween(Paper::MARGIN - 12, $width - Paper::MARGIN + 12, $element->textContent)
                        ->and($y)->toBeBetween(Paper::MARGIN - 6, $height - Paper::MARGIN + 10, $element->textContent);
                }
            }
        }
    }
    $widths = require __DIR__.'/../../src/Handout/Data/widths.php';
    foreach (drawingOf($pages[0])->query('//s:text[@text-anchor="start"]') ?: [] as $text) {
        $long = array_sum(array_map(
            static fn (string $sign): int => $widths[(int) $text->getAttribute('font-weight')][$sign] ?? 600,
            mb_str_split($text->textContent),
        )) * (float) $text->getAttribute('font-size') / 1000;
        [$x] = placeOf($text, (float) $text->getAttribute('x') + $long, 0);
        expect($x)->toBeLessThanOrEqual($width - Paper::MARGIN + 6, $text->textContent);
    }
})->with(static function (): array {
    $long = '| '.implode(' | ', array_fill(0, 40, 'Gm7 C9')).' |';

    return [
        'a short song' => [Examples::breakdown(), HandoutWishes::everything()],
        'every field of a document, on Letter' => [Frozen::full(), new HandoutWishes(Part::cases(), Paper::Letter)],
        'eighty chords for a stand' => [
            Examples::breakdown(['sections' => [['name' => 'A very long name of a section', 'line' => $long]]]),
            new HandoutWishes(Part::cases(), large: true),
        ],
        'notes without end' => [Examples::breakdown(['notes' => str_repeat('The tide turns and nobody looks. ', 400)]), HandoutWishes::everything()],
    ];
});

it('stands on one side where that fits, and says which side it is', function (): void {
    $short = pagesOf(Examples::breakdown());
    $long = pagesOf(Examples::breakdown(['notes' => str_repeat("The tide turns.\n", 120)]));

    expect(count($short))->toBe(1)->and(textOf($short))->toContain('page 1 of 1')
        ->and(count($long))->toBeGreaterThan(1)->and(textOf([$long[1]]))->toContain('page 2 of '.count($long));
});

it('sets no name small in large print', function (): void {
    $line = '| B♭m7 E♭9 | A♭maj7 F7♯9 |';
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => $line]], 'feel' => Examples::swing(2)], '..x.x.X.');
    $everything = HandoutWishes::everything();
    $pages = pagesOf($song, new HandoutWishes($everything->parts, $everything->paper, true));
    $stages = array_map(static fn ($stage): string => $stage->name, onPaper($song)->lesson->stages());
    $sizes = [];
    foreach ($pages as $page) {
        foreach (drawingOf($page)->query('//s:text') ?: [] as $text) {
            if ($text instanceof DOMElement && in_array($text->textContent, ['B♭', 'E♭', 'A♭', 'F', ...$stages], true)) {
                $sizes[] = (float) $text->getAttribute('font-size');
            }
        }
    }

    expect(count($sizes))->toBeGreaterThan(10)->and(min($sizes))->toBeGreaterThanOrEqual(12.0);
});

it('has what is ticked in the order in which it is ticked, and nothing else', function (): void {
    $of = static function (HandoutWishes $wishes): array {
        $parts = [];
        foreach (drawingOf(pagesOf(Examples::breakdown(['notes' => 'Lean back.']), $wishes)[0])->query('//s:g[@data-part]') ?: [] as $part) {
            $parts[] = $part->getAttribute('data-part');
        }

        return $parts;
    };

    expect($of(new HandoutWishes([Part::Notes, Part::Chart])))->toBe(['notes', 'chart'])->and($of(new HandoutWishes([])))->toBe([]);
});

it('draws one part by itself, and no page around it', function (Part $part): void {
    $drawn = drawingOf((new HandoutLayout())->piece(onPaper(Examples::breakdown([], 'x.c.x.c.')), HandoutWishes::everything(), $part));
    $height = (float) $drawn->evaluate('string(/s:svg/@height)');

    expect($drawn->evaluate('count(//s:g[@data-part])'))->toBe(1.0)
        ->and($drawn->evaluate('string(//s:g/@data-part)'))->toBe($part->value)
        ->and($height)->toBeGreaterThan(2 * Paper::MARGIN + 20)->toBeLessThan(Paper::A4->size()[1] / 1.5);
})->with([Part::Chart, Part::Grips, Part::Hand]);

it('says on paper what the song says: head, chart, nicknames, retuning, set-up, marks, stages', function (): void {
    $song = Frozen::full();
    $song = $song->with(marks: [
        new Mark(new MarkedValue(Marked::Song, 'tempo'), MarkKind::Unsure, '120', 'by ear'),
        new Mark(new MarkedValue(Marked::Song, 'key'), MarkKind::Either, 'F major'),
    ]);
    $text = textOf(pagesOf($song));

    expect($text)->toContain('Tide Table')->toContain('D minor')->toContain('Verse')->toContain('thumb pick, near the bridge')
        ->toContain('The original is in another tuning')->toContain('Retune: ')
        ->toContain('Tempo: 138.5, or 120. Unsure. by ear')->toContain('Key: D minor or F major, either is fine.')
        ->toContain('Hear it finished')->toContain('fret 2, shapes of C minor')
        ->and($text)->toContain('the crab');
});

it('writes what was typed as letters, whatever signs it has', function (): void {
    $page = pagesOf(Examples::breakdown(['title' => '<script>alert("tide")</script> & Co', 'notes' => '</svg><b>']))[0];

    expect($page->svg)->not->toContain('<script')->and(textOf([$page]))->toContain('<script>alert("tide")</script> & Co')->toContain('</svg><b>');
});

it('turns every neck for a left hand, and puts the high string on top', function (): void {
    $song = Examples::breakdown();
    $dots = static function (HandoutWishes $wishes) use ($song): array {
        $places = [];
        foreach (drawingOf(pagesOf($song, $wishes)[0])->query('//s:g[@data-part="grips"]//s:rect') ?: [] as $dot) {
            $places[] = [(float) $dot->getAttribute('x') + (float) $dot->getAttribute('width') / 2,
                (float) $dot->getAttribute('y') + (float) $dot->getAttribute('height') / 2];
        }

        return $places;
    };
    $usual = $dots(new HandoutWishes([Part::Grips]));
    $left = $dots(new HandoutWishes([Part::Grips], leftHanded: true));
    $high = $dots(new HandoutWishes([Part::Grips], highOnTop: true));
    $neck = 148.0;

    expect($usual)->not->toBe([]);
    foreach ($usual as $place => [$x, $y]) {
        expect($left[$place][0])->toEqualWithDelta($neck - $x, 0.1)->and($left[$place][1])->toEqualWithDelta($y, 0.01)
            ->and($high[$place][0])->toEqualWithDelta($x, 0.01)->and($high[$place][1])->toEqualWithDelta(86.0 - $y, 0.1);
    }
});

it('draws the nut thick where a grip lies at it, and its frets by number where it lies higher', function (
    array $frets,
    bool $atNut,
    array $numbers,
): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm |']], 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => $frets],
    ]]);
    $path = drawingOf((new HandoutLayout())->piece(onPaper($song), HandoutWishes::everything(), Part::Grips));
    $told = array_map(static fn ($text): string => $text->textContent, iterator_to_array($path->query('//s:text[@y="97"]') ?: []));

    expect(($path->query('//s:line[@stroke-width="3.4"]') ?: new DOMNodeList())->length === 1)->toBe($atNut)
        ->and(array_values(array_filter($told, is_numeric(...))))->toBe($numbers);
})->with([
    'at the nut' => [[null, null, 0, 2, 3, 1], true, ['1', '2', '3', '4']],
    'as high as the nut is still shown' => [[null, null, 3, 2, 3, 1], true, ['1', '2', '3', '4']],
    'up the neck' => [[null, 5, 7, 7, 6, 5], false, ['5', '6', '7', '8']],
]);

it('draws no part that the song has nothing of', function (): void {
    (new HandoutLayout())->piece(onPaper(Examples::breakdown()), HandoutWishes::everything(), Part::Figures);
})->throws(HandoutException::class, 'nothing of this song');

it('refuses what no page is', function (callable $wish): void {
    expect($wish)->toThrow(HandoutException::class);
})->with([
    [fn () => new HandoutWishes([], handBars: 3)],
    [fn () => new HandoutWishes([], for: str_repeat('x', 61))],
]);
