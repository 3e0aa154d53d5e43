<?php

declare(strict_types=1);

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\Doubling;
use Gravik\Band\Groove;
use Gravik\Band\Hit;
use Gravik\Band\Instrument;
use Gravik\Band\LineUp;
use Gravik\Band\LowIntervals;
use Gravik\Band\PartBar;
use Gravik\Band\Register;
use Gravik\Band\Role;
use Gravik\Band\Seat;
use Gravik\Band\Style;
use Gravik\Band\Tune;
use Gravik\Band\TuneOverCourse;
use Gravik\Band\Way;
use Gravik\Chart\Course;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\Key;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

it('plays every part in every way and role as it did', function (): void {
    $figures = [];
    $lines = ['4/4' => '| Dm7 G7 | Cmaj7 | N.C. | A7♭9 | D/F♯ | B♭13 |', '3/4' => '| C | Am | F | G7 |', '6/8' => '| Em | D C |',
        '12/8' => '| A7 | D9 |',
        '5/4' => '| Gm7 | C7 |', '2/4' => '| F | B♭ | C7 | F |'];
    foreach (Groove::library() as $groove) {
        if (! isset($lines[$groove->meter->text()])) {
            continue;
        }
        $song = new Setting(Key::parse('C major'), $groove->meter, new Tempo(120), Feel::straight());
        $course = Course::of([new Section('a', 'A', $lines[$groove->meter->text()])], $song, [new FormEntry('a', 2)], ['1']);
        foreach (Instrument::cases() as $instrument) {
            foreach ($instrument->ways() as $way) {
                $part = new BandPart('p', $instrument, 0.7, groove: $instrument->playsAGroove() ? $groove : null, way: $way);
                $figures["{$groove->slug} {$instrument->value} {$way->value}"] = static fn (): array => array_map(
                    static fn (Role $role): Closure => static function () use ($part, $role, $course, $groove): array {
                        $bars = array_map(static fn ($bar): PartBar => new PartBar(
                            $role,
                            $part->groove,
                            [new Hit($bar->tick, $bar->tick + 480, 2, 0, false), new Hit($bar->tick + 960, $bar->until(), 1, 1, true)],
                            [
                                new BandNote($bar->tick, $bar->tick + 960, 1, 67, 0.8),
                                new BandNote($bar->tick + 960, $bar->until(), 1, 71, 0.5),
                            ],
                            $groove->style,
                        ), $course->bars);

                        return array_map(static fn ($player): array => $player->play($course, $bars), LineUp::of([$part])->players);
                    },
                    Role::cases(),
                );
            }
        }
        $figures["groove {$groove->slug}"] = static fn (): array => [$groove, $groove->slotTicks()];
    }
    $notes = array_map(
        static fn (int $at): BandNote => new BandNote($at, $at + 700, 2, 60 + intdiv($at, 480) % 9, 0.5),
        range(0, 24_000, 480),
    );
    foreach ([null, ['2'], ['9']] as $passes) {
        $figures[
            'tune in '.implode($passes ?? ['all'])
        ] = static fn (): array => TuneOverCourse::of(new Tune('Ebb', $notes, $passes), Course::of(
            [new Section('a', 'A', '| C | F |'), new Section('b', 'B', '| G |')],
            new Setting(Key::parse('C major'), Meter::parse('4/4'), new Tempo(100), Feel::straight()),
            [new FormEntry('a', 2), new FormEntry('b')],
            ['1', '2'],
        ));
    }
    foreach (range(0, 14) as $semitones) {
        $figures["low {$semitones}"] = static fn (): array => [
            LowIntervals::lowest($semitones),
            array_map(static fn (int $lower): bool => LowIntervals::isMuddy($lower, $lower + $semitones), range(28, 60)),
        ];
    }
    foreach ([[21, 33], [20, 40], [21, 32], [96, 108], [97, 109], [52, 76]] as [$low, $high]) {
        $figures["register {$low} {$high}"] = static fn (): array => [
            (new Register($low, $high))->middle(), (new Register($low, $high))->notesOf(0, 7),
            (new Register($low, $high))->octavesFrom([60, 72]),
            (new Register($low, $high))->octavesFrom([]),
        ];
    }
    foreach (Instrument::cases() as $instrument) {
        $figures["instrument {$instrument->value}"] = static fn (): array => [
            $instrument->usualRegister(), $instrument->playsAGroove(), $instrument->isChordal(), $instrument->playsChords(),
            $instrument->isGuitar(),
            array_map(static fn (Seat $seat): float => $seat->gainDb($instrument), Seat::cases()),
        ];
    }
    foreach ([[-0.1, 0.0], [0.0, -100.0], [1.0, 100.0], [1.01, 0.0], [0.5, 100.1], [0.5, -101.0]] as [$level, $offset]) {
        $figures["part {$level} {$offset}"] = static fn (): BandPart => new BandPart('p', Instrument::Guitar, $level, $offset);
    }
    foreach ([0, 5, 60, 120, 127] as $pitch) {
        $bars = [new PartBar(Role::Doubles, null, [], [new BandNote(0, 960, 1, $pitch, 0.9)])];
        $figures["doubled {$pitch}"] = static fn (): array => [
            Doubling::of($bars, new Register(96, 108))->in($bars[0], 0.5), Doubling::of($bars, new Register(21, 33))->in($bars[0], 1.0),
        ];
    }
    foreach (Style::cases() as $style) {
        $figures["style {$style->value}"] = static fn (): array => [$style->guitarLeads(), $style->words()];
    }
    foreach (Role::cases() as $role) {
        $figures["role {$role->value}"] = static fn (): array => [$role->leads(), $role->words()];
    }
    $figures['ways'] = static fn (): array => array_map(static fn (Way $way): string => $way->words(), Way::cases());
    Frozen::hold('band', $figures);
});
