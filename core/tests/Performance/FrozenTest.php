<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Pass;
use Gravik\Chart\Section;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Performance\ChangeRepairs;
use Gravik\Performance\ChangeWindow;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\CountAloud;
use Gravik\Performance\HandInUse;
use Gravik\Performance\Performer;
use Gravik\Performance\ResetAccents;
use Gravik\Performance\StrokeFaults;
use Gravik\Performance\StrokeRepairs;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Tempo;

it('performs songs and says what is hard in them as it did', function (): void {
    $songs = ['full' => Frozen::full(), ...Frozen::documents(14)];
    $second = (new PartSetter())->add(Frozen::full(), Instrument::SecondGuitar);
    foreach (Role::cases() as $role) {
        $parts = ['guitar', 'second-guitar', 'keys', 'drums'];
        $cells = array_map(static fn (string $part): Cell => new Cell($part, role: $role), $parts);
        $plain = array_map(static fn (Pass $pass): Pass => $pass->with([]), $second->passes);
        $songs["all {$role->value}"] = $second->with(passes: $plain, cells: [...$second->cells, ...$cells]);
    }
    $figures = array_map(static fn (Breakdown $song): Closure => static function () use ($song): array {
        $timeline = (new Performer())->perform($song);
        $slow = (new Performer())->perform($song, new Tempo(61), $timeline->voiced, 2);
        $windows = (new ChangeWindows($song->neck))->of($timeline);
        $desk = Desk::of($song);

        return [
            $timeline->seconds, $timeline->strokes, $timeline->events, $timeline->handsOfPasses(), CountAloud::through($timeline), $windows,
            array_map(
                static fn (ChangeWindow $window): Closure => static fn (): mixed => (new ChangeRepairs())->of($song, $timeline, $window),
                array_slice($windows, 0, 2),
            ),
            array_map(
                static fn (Warning $warning): Closure => static fn (): mixed => (new StrokeRepairs())->of($desk, $warning, new Tempo(150)),
                $timeline->hands() === [] ? [] : $timeline->hands()[0]->plan->warnings,
            ),
            array_map(static fn (HandInUse $hand): array => [
                static fn (): mixed => (new StrokeFaults())->of($timeline->voiced[$timeline->spans[0]->line->id], $hand->plan),
                static fn (): mixed => (new ResetAccents())->question($timeline, $hand),
            ], $timeline->hands()),
            $slow->seconds, $slow->events, $timeline->secondsOfBars(3), array_map($timeline->barAt(...), [0.0, 1.3, 7.7, 40.0]),
            array_map($timeline->slotNear(...), [0.1, 0.9, 3.3]), array_map($timeline->isFreeAt(...), [0.0, 2.0]),
        ];
    }, $songs);
    Frozen::hold('performance', $figures);
});

it('says how long changes take and how strokes are mended as it did', function (): void {
    $figures = [];
    $neck = new Neck(Tuning::standard());
    $finder = new VoicingFinder($neck);
    $grips = array_map(
        static fn (string $symbol) => $finder->findFamiliar(ChordSymbol::parse($symbol), 3)->best,
        array_combine(['C', 'G', 'F', 'Bm7', 'E7♯9', 'Am', 'D'], ['C', 'G', 'F', 'Bm7', 'E7♯9', 'Am', 'D']),
    );
    foreach ($grips as $from => $some) {
        foreach ($grips as $to => $others) {
            $figures["change {$from} {$to}"] = static fn (): array => array_map(
                static fn (int $place): array => [
                    (new ChangeWindows($neck))->needMs($some[$place], $others[$place]),
                    ChangeWindows::slides($some[$place], $others[$place]),
                ],
                array_keys(array_slice($some, 0, min(count($some), count($others)))),
            );
        }
    }
    foreach (PatternLibrary::all() as $entry) {
        foreach (School::cases() as $school) {
            $figures["mends {$entry->slug} {$school->value}"] = static function () use ($entry, $school): array {
                $blank = Beginning::blank();
                $song = $blank->with(
                    start: $blank->start->with(meter: $entry->pattern->meter, tempo: new Tempo(190), feel: $entry->feel),
                    sections: [new Section('s1', 'A', '| Dm7 | G7 | C | % |')],
                    patterns: [new NamedPattern('p1', '', $entry->pattern, $school)],
                    parts: [$blank->guitar()],
                );
                $timeline = (new Performer())->perform($song);
                $hand = $timeline->hands()[0];
                $voiced = $timeline->voiced[$song->lines[0]->id];
                $warnings = [...$hand->plan->warnings, ...(new StrokeFaults())->of($voiced, $hand->plan)];

                return array_map(static fn (Warning $warning): array => [
                    $warning->kind, (new StrokeRepairs())->of(Desk::of($song), $warning, new Tempo(190), $voiced),
                ], array_slice($warnings, 0, 4));
            };
        }
    }
    Frozen::hold('performance-mends', $figures);
});
