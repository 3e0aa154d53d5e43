<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Documents\AskedTake;
use App\Documents\BreakdownStore;
use App\Documents\TakeStore;
use App\Models\Breakdown;
use App\Models\Role;
use App\Models\User;
use App\School\Assigning;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Tempo;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** A teacher, a student, the band's repertoire, and a few weeks of takes. */
final class DatabaseSeeder extends Seeder
{
    public const TEACHER = ['name' => 'Maren, teacher', 'email' => 'maren@gravik.demo', 'password' => 'harbour-light'];

    public const STUDENT = ['name' => 'Student A', 'email' => 'student@gravik.demo', 'password' => 'low-tide'];

    /** What the student plays as a whole; there are takes of the first. */
    private const ASSIGNED = ['Marzipan Ferry', 'Pilot Stairs'];

    private const IN_STAGES = 'Customs Shed';

    /** tempo, bars, bias ms, off-beat error ms, spread ms, share missed, days ago */
    private const TAKES = [
        [104, 8, 4, -46, 21, 0.06, 12],
        [104, 8, 2, -38, 17, 0.03, 10],
        [112, 16, 5, -35, 15, 0.02, 7],
        [112, 16, 6, -24, 12, 0.0, 4],
        [126, 16, 4, -19, 12, 0.01, 1],
    ];

    public function run(BreakdownStore $store, TakeStore $takes, Performer $performer, Assigning $assigning, DemoPractice $practice): void
    {
        if (User::query()->exists()) {
            return;
        }
        $teacher = User::query()->create(self::TEACHER + ['role' => Role::Teacher, 'owner' => true]);
        $student = User::query()->create(self::STUDENT + ['role' => Role::Student]);
        $teacher->students()->attach($student);
        foreach ([...DemoBreakdowns::all(), ...DemoSongs::all()] as $document) {
            $breakdown = $store->create($teacher, null, $document, 'demo data');
            if (in_array($document->title, self::ASSIGNED, true)) {
                $assigning->give($teacher, $breakdown, [$student], [], Carbon::now()->addDays(2), 12, true);
            }
            if ($document->title === self::ASSIGNED[0]) {
                $this->practise($breakdown, $student, $store, $takes, $performer);
            }
            if ($document->title === self::IN_STAGES) {
                $practice->of($teacher, $student, $breakdown);
            }
        }
    }

    private function practise(Breakdown $breakdown, User $student, BreakdownStore $store, TakeStore $takes, Performer $performer): void
    {
        $document = $store->document($breakdown);
        foreach (self::TAKES as $number => [$tempo, $bars, $bias, $offBeat, $spread, $missed, $daysAgo]) {
            $timeline = $performer->perform($document, new Tempo($tempo));
            $take = Take::read((new SimulatedPlayer($bias, $offBeat, $spread, $missed, 40 + $number))->taps($timeline, $bars));
            $asked = new AskedTake(
                mb_strtolower((string) Str::ulid()),
                $timeline->map->first()->tempo,
                $bars,
                null,
                Levels::HIGHEST,
                0.0,
            );
            $report = (new LockReporter())->report($take, $timeline, $document->start->feel->unit, 0.0, bars: $bars);
            $kept = $takes->keep($breakdown, $student, $asked, $take, $timeline->map->first(), $report);
            $kept->forceFill(['created_at' => Carbon::now()->subDays($daysAgo)])->save();
        }
    }
}
