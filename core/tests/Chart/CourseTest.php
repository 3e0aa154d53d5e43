<?php

declare(strict_types=1);

use Gravik\Chart\ChartException;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Course;
use Gravik\Chart\CourseChord;
use Gravik\Chart\Ending;
use Gravik\Chart\Failure\PlaceNotPossible;
use Gravik\Chart\Form;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\Key;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

function tideSong(): Setting
{
    return new Setting(Key::parse('D minor'), Meter::parse('4/4'), new Tempo(120), Feel::straight());
}

/** @return list<string> */
function symbolsPlayed(Course $course): array
{
    return array_map(static fn (CourseChord $chord): string => $chord->chord->text(), $course->chords);
}

it('goes through repeats with the ending of each time, and counts times through the whole pass', function (): void {
    $a = new Section('a', 'A', '| Dm |', endings: [new Ending([1], '| A7 |'), new Ending([2, 3], '| Gm |')]);
    $b = new Section('b', 'B', '| F |');
    $course = Course::of([$a, $b], tideSong(), [new FormEntry('a', 2), new FormEntry('b'), new FormEntry('a')], ['1', '2']);
    $round = ['Dm', 'A7', 'Dm', 'Gm', 'F', 'Dm', 'Gm'];

    expect(symbolsPlayed($course))->toBe([...$round, ...$round])
        ->and(array_map(static fn ($visit): string => "{$visit->pass}{$visit->section->id}{$visit->time}", $course->visits))
        ->toBe(['1a1', '1a2', '1b1', '1a3', '2a1', '2a2', '2b1', '2a3'])
        ->and($course->form->bars)->toHaveCount(4)
        ->and(array_map(static fn ($bar): int => $bar->written, array_slice($course->bars, 0, 7)))->toBe([0, 1, 0, 2, 3, 0, 2])
        ->and($course->ticks())->toBe(14 * 3840);
});

it('plays a section in its own meter, tempo, key and feel, and takes the song up again after it', function (): void {
    $a = new Section('a', 'A', '| i | % |');
    $b = new Section('b', 'B', '| I | IV |', Key::parse('F'), Meter::parse('3/4'), new Tempo(60), Feel::fixed(2));
    $course = Course::of([$a, $b], tideSong(), [new FormEntry('a'), new FormEntry('b'), new FormEntry('a')], ['1']);
    $map = $course->timeMap();
    $slow = $course->timeMap(new Tempo(90));

    expect(symbolsPlayed($course))->toBe(['Dm', 'Dm', 'F', 'B♭', 'Dm', 'Dm'])
        ->and(array_map(static fn ($bar): int => $bar->tick, $course->bars))->toBe([0, 3840, 7680, 10560, 13440, 17280])
        ->and($map->seconds())->toEqualWithDelta(4 + 6 + 4, 1e-9)
        ->and($map->secondsAt(7680 + 480, 2))->toEqualWithDelta(4 + 2 / 3, 1e-9)
        // Practised at three quarters of its tempo, all of it takes four thirds of the time.
        ->and($slow->seconds())->toEqualWithDelta(14 * 4 / 3, 1e-9);
});

it('knows a time without an ending of its own takes the last', function (): void {
    $a = new Section('a', 'A', '', endings: [new Ending([1], '| A7 |'), new Ending([2], '| Gm |')]);

    expect(symbolsPlayed(Course::of([$a], tideSong(), [new FormEntry('a', 3)], ['1'])))->toBe(['A7', 'Gm', 'Gm']);
});

it('refuses an ending for no time, or for one time twice', function (array $times): void {
    new Ending($times, '| Dm |');
})->with([[[0]], [[0, 0]], [[-1, 2]], [[2, 1, 2]]])->throws(ChartException::class);

it('refuses more than anybody plays', function (): void {
    $line = str_repeat('| D ', 200).'|';
    Course::of([new Section('a', 'A', $line)], tideSong(), [new FormEntry('a', 16)], ['1']);
})->throws(ChartException::class, 'more than 2000 bars');

it('has sections with a name of up to forty characters', function (string $name, bool $reads): void {
    $build = static fn (): Section => new Section('a', $name, '');
    $reads ? expect($build()->name)->toBe($name) : expect($build)->toThrow(ChartException::class);
})->with([['A', true], [str_repeat('♭', 40), true], [str_repeat('a', 41), false], ['', false], ['  ', false]]);

it('reads songs of up to four hundred written bars', function (int $bars, bool $reads): void {
    $sections = array_map(
        static fn (int $number): Section => new Section("s{$number}", 'A', str_repeat('| D ', min(200, $bars - 200 * $number))),
        range(0, intdiv($bars - 1, 200)),
    );
    $read = static fn (): Form => Form::of($sections, tideSong());
    $reads ? expect($read()->bars)->toHaveCount($bars) : expect($read)->toThrow(ChartException::class, '400');
})->with([[400, true], [401, false]]);

it('takes lines of a section and of its endings up to their longest', function (): void {
    $longest = str_repeat('a', ChartLine::LONGEST);

    expect((new Section('a', 'A', $longest, endings: [new Ending([1], $longest)]))->line)->toBe($longest)
        ->and(fn () => new Section('a', 'A', $longest.'a'))->toThrow(ChartException::class)
        ->and(fn () => new Ending([1], $longest.'a'))->toThrow(ChartException::class);
});

it('knows no place before its section', function (?int $ending, int $bar, int $tick): void {
    new Place('a', $ending, $bar, $tick);
})->with([[-1, 0, 0], [null, -1, 0], [0, -1, 960], [null, 0, -1]])->throws(PlaceNotPossible::class);

it('numbers bars as on paper: all endings of a section count on after its line', function (): void {
    $form = (new BreakdownJson())->read(Examples::full())->written();

    expect(array_column($form->bars, 'number'))->toBe([1, 2, 3, 3, 4, 5, 6]);
});
