<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Failure\StageNotReadable;
use Gravik\Breakdown\StageKey;
use Gravik\Breakdown\StageNote;
use Gravik\Breakdown\Toolbox;
use Gravik\Breakdown\Waits;
use Gravik\Lesson\Backing;
use Gravik\Lesson\LadderWish;
use Gravik\Lesson\Steps\Flaw;
use Gravik\Lesson\Steps\Flawed;
use Gravik\Lesson\Steps\Lesson;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Lesson\Steps\StageFigures;
use Gravik\Lesson\Steps\StrokeFigure;
use Gravik\Lesson\Steps\ToldStage;
use Gravik\Neck\Company;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Stroke;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Tempo;

function lessonOf(Breakdown $song): Lesson
{
    $voiced = [];
    foreach ($song->linesPlayed() as $line) {
        $voiced[$line->id] = Toolbox::of($song, $line)->voiced();
    }

    return (new LessonPlanner())->plan($song, $voiced);
}

/** @return list<string> its stages by key; dropped ones in brackets */
function stagesOf(Breakdown $song): array
{
    return array_map(
        static fn (ToldStage $stage): string => $stage->planned->number === null
            ? "({$stage->planned->key->text()})"
            : $stage->planned->key->text(),
        lessonOf($song)->stages(),
    );
}

function stageOf(Breakdown $song, string $key): ToldStage
{
    $lesson = lessonOf($song);

    return $lesson->told($lesson->plan->stage(StageKey::parse($key)));
}

it('proposes a stage for what is really in the part, and none for what is not', function (array $fields, string $slots, array $has, array $hasNot): void {
    $stages = stagesOf(Examples::breakdown($fields + ['sections' => [['name' => 'A', 'line' => '| Dm | % | Dm | % | % | % |']]], $slots));

    expect(array_values(array_intersect($has, $stages)))->toBe($has)->and(array_intersect($hasNot, $stages))->toBe([])
        ->and($stages[0])->toBe('whole')->and($stages[count($stages) - 1])->toBe('full-run');
})->with([
    'all alike and ringing' => [[], 'x.x.x.x.', ['shapes', 'damped-rhythm', 'slow-and-even', 'at-tempo back', 'at-tempo one', 'at-tempo rests'],
        ['releases', 'all-releases', 'accents', 'ornaments', 'full-band', 'variations 1']],
    'dead on 2 and 4' => [[], 'x.c.x.c.', ['releases'], ['all-releases', 'accents']],
    'dead off the beat' => [[], 'xcx.xcx.', ['all-releases'], ['releases']],
    'an accent' => [[], 'x.X.x.X.', ['accents'], ['releases']],
    'a ghost' => [[], 'x.g.x.x.', ['accents'], ['releases']],
    'bass and drums' => [[], 'x.x.x.x.', ['bass-and-drums'], ['full-band']],
]);

it('adds one thing from stage to stage, until all of the song is there', function (): void {
    $song = Examples::breakdown([], 'X.c.xgXc');
    $lesson = lessonOf($song);
    $strokes = static fn (ToldStage $stage): array => array_map(
        static fn (Stroke $stroke): array => [$stroke->articulation, $stroke->accent],
        $lesson->staged($stage->planned)->breakdown->patterns[0]->pattern->strokes(),
    );
    $byKey = [];
    foreach ($lesson->stages() as $stage) {
        $byKey[$stage->planned->key->text()] = $strokes($stage);
    }
    $ring = [Articulation::Ring, 1];

    expect($byKey['damped-rhythm'])->toBe(array_fill(0, 6, [Articulation::Chuck, 1]))
        ->and($byKey['slow-and-even'])->toBe(array_fill(0, 6, $ring))
        ->and($byKey['releases'])->toBe([$ring, [Articulation::Chuck, 1], $ring, $ring, $ring, $ring])
        ->and($byKey['all-releases'])->toBe([$ring, [Articulation::Chuck, 1], $ring, $ring, $ring, [Articulation::Chuck, 1]])
        ->and($byKey['accents'])->toBe(array_map(
            static fn (Stroke $stroke): array => [$stroke->articulation, $stroke->accent],
            $song->patterns[0]->pattern->strokes(),
        ))
        ->and($byKey['full-run'])->toBe($byKey['accents']);
});

it('plays the whole song where a stage leaves nothing out', function (): void {
    $song = Frozen::full();
    $lesson = lessonOf($song);
    $whole = $lesson->staged($lesson->plan->stage(StageKey::parse('whole')))->breakdown;

    expect((new Performer())->perform($whole)->events)->toEqual((new Performer())->perform($song)->events);
});

it('brings a pushed stroke on its beat until pushes are learned, where nothing stands there already', function (): void {
    $song = Examples::breakdown();
    $pattern = $song->patterns[0]->pattern;
    $push = new Stroke(3360, 2, chord: Gravik\Strokes\ChordOf::Next);
    $both = static fn (array $strokes): Breakdown => $song->with(patterns: [$song->patterns[0]->with(
        $pattern->withStreams([new Gravik\Strokes\Stream('', [...$strokes, $push])]),
    )]);
    $at = static fn (Breakdown $of, string $key): array => array_map(
        static fn (Stroke $stroke): int => $stroke->at,
        lessonOf($of)->staged(lessonOf($of)->plan->stage(StageKey::parse($key)))->breakdown->patterns[0]->pattern->strokes(),
    );
    $free = $both([new Stroke(960, 1)]);

    expect($at($free, 'slow-and-even'))->toBe([0, 960])->and($at($free, 'ornaments'))->toBe([960, 3360])
        ->and($at($both([new Stroke(0, 1), new Stroke(960, 1)]), 'slow-and-even'))->toBe([0, 960]);
});

it('keeps to the teacher’s order, and a thing that is dropped comes with the next that brings something', function (): void {
    $note = static fn (string $key, bool $dropped = false): StageNote => new StageNote(StageKey::parse($key), $dropped);
    $song = Examples::breakdown([], 'X.c.xcX.')->with(lesson: [$note('accents'), $note('releases', true), $note('all-releases')]);
    $stages = stagesOf($song);

    expect(array_values(array_intersect($stages, ['accents', '(releases)', 'all-releases'])))->toBe(['accents', '(releases)', 'all-releases'])
        ->and(array_search('shapes', $stages, true))->toBe(1)
        ->and(array_map(static fn ($layer): string => $layer->value, stageOf($song, 'all-releases')->planned->added))
        ->toBe(['releases', 'all-releases'])
        ->and(array_map(static fn ($layer): string => $layer->value, stageOf($song, 'accents')->planned->layers))->toBe(['accents']);
});

it('says what it was settled for where the song is another by now, and keeps the teacher’s words', function (): void {
    $song = Examples::breakdown([], 'x.c.x.c.');
    $seen = stageOf($song, 'releases')->proposed;
    $settled = static fn (Breakdown $of): Breakdown => $of->with(lesson: [
        new StageNote(StageKey::parse('releases'), say: 'Dry as driftwood.', ladder: new LadderWish(goal: 70), seen: $seen),
    ]);
    $other = Examples::breakdown([], 'x.c.x.x.');
    $gone = stageOf($settled(Examples::breakdown([], 'x.x.x.x.')), 'releases');

    expect(stageOf($settled($song), 'releases')->settledFor())->toBeNull()
        ->and(stageOf($settled($other), 'releases')->settledFor())->toBe($seen)
        ->and(stageOf($settled($other), 'releases')->proposed)->not->toBe($seen)
        ->and(stageOf($settled($other), 'releases')->ladder->goal)->toBe(70)
        ->and(lessonOf($settled($other))->advice(stageOf($settled($other), 'releases'))->say)->toBe('Dry as driftwood.')
        ->and($gone->planned->proposed)->toBeFalse()->and($gone->settledFor())->toBe($seen);
});

it('measures how long each stroke rings and how much louder it is, as its events sound', function (): void {
    $song = Examples::breakdown(['tempo' => 100], 'X.c.x.x.');
    $round = stageOf($song, 'full-run')->round;
    $figures = StageFigures::of($round);
    $events = (new Performer())->perform($song, new Tempo(100))->events;
    $longest = static fn (float $t): float => max(array_map(
        static fn ($event): float => $event->t + $event->dur - $t,
        array_filter($events, static fn ($event): bool => abs($event->t - $t) < 0.08 && $event->pitch !== null),
    ));

    expect(array_map(static fn (StrokeFigure $each): string => $each->count, $figures))->toBe(['1', '2', '3', '4'])
        ->and($figures[1]->ringsMs)->toBeNull()
        ->and($figures[2]->ringsMs)->toEqualWithDelta(1000 * $longest(1.2), 60)
        ->and($figures[2]->share)->toEqualWithDelta($figures[2]->ringsMs / 600, 1e-9)
        ->and($figures[0]->levelDb)->toBeGreaterThan(1.5)->and($figures[3]->levelDb)->toEqualWithDelta(0, 1e-9);
});

it('gives a change a stage of its own where the hand has no time for it, up to the tempo at which it has', function (): void {
    $song = Examples::breakdown(
        ['tempo' => 200, 'sections' => [['name' => 'A', 'line' => '| Dm | G♯7 |']],
            'pins' => [['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'G♯7', 'frets' => [null, 11, 13, 11, 13, 11]]]],
        'xxxxxxxx',
    );
    $hard = array_values(array_filter(
        lessonOf($song)->stages(),
        static fn (ToldStage $stage): bool => str_starts_with($stage->planned->key->text(), 'hard-change'),
    ));
    $fits = static function (int $bpm) use ($song): bool {
        $windows = (new ChangeWindows($song->neck))->of((new Performer())->perform($song, new Tempo($bpm)));

        return array_filter($windows, static fn ($window): bool => $window->to->chord->text() === 'G♯7' && ! $window->fits()) === [];
    };
    $goal = (int) $hard[0]->usual->goal;

    expect($hard)->not->toBe([])->and($hard[0]->name)->toContain('G♯7')->and($fits(200))->toBeFalse()
        ->and($fits((int) $hard[0]->usual->start))->toBeTrue()->and($goal)->toBeGreaterThan((int) $hard[0]->usual->start);
});

it('takes names, altered notes, the turnaround and the click back out where the teacher lets them wait', function (): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm7 | A7♭9 | Dm7 | A7♭9 | Dm7 | A7♭9 | Dm7 | A7♭9 |']]], 'x.c.x.x.');
    $waits = $song->with(lesson: [new StageNote(StageKey::parse('shapes'), waits: Waits::cases())]);
    $lesson = lessonOf($waits);
    $staged = $lesson->staged($lesson->plan->stage(StageKey::parse('shapes')));
    $told = $lesson->told($lesson->plan->stage(StageKey::parse('shapes')));

    expect($staged->loop)->toBe([0, 5])->and($staged->backing)->toBe(Backing::Nothing)
        ->and($staged->breakdown->lines[0]->company)->toBe(Company::Shell)
        ->and(array_column($lesson->postponed($told), 1, 0))->toMatchArray([
            'the turnaround' => 3, 'the names of chords and degrees' => 3, 'the releases on 2 and 4' => 5,
        ]);
});

it('plays one thing wrong, and only what can be heard', function (): void {
    $pattern = Examples::pattern('x.cxx.xx');
    $song = Examples::breakdown(['tempo' => 120], 'x.cxx.xx');
    $times = static fn (Breakdown $of): array => array_map(
        static fn (PlayedStroke $stroke): float => round($stroke->t, 4),
        array_slice((new Performer())->perform($of)->strokes, 0, 6),
    );

    expect(array_map(static fn (Flaw $flaw): string => $flaw->value, Flawed::audibleIn($pattern)))->toBe(['rushed', 'ringing', 'gapped'])
        ->and($times($song))->toBe([0.0, 0.5, 0.75, 1.0, 1.5, 1.75])
        ->and($times(Flawed::with($song, Flaw::Rushed)))->toBe([0.0, 0.5, 0.712, 1.0, 1.5, 1.712]);
});

it('refuses a stage that the lesson has not', function (): void {
    expect(fn () => StageKey::parse('encore'))->toThrow(StageNotReadable::class, 'no stage')
        ->and(fn () => stageOf(Examples::breakdown(), 'variations 9'))->toThrow(StageNotReadable::class);
});
