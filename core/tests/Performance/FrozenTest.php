<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Pass;
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
