<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Documents\AskedTake;
use App\Documents\TakeJudge;
use App\Models\Breakdown;
use App\Models\Remark;
use App\Models\User;
use App\School\Assigning;
use Gravik\Breakdown\StageKey;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Timeline;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Tempo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Five weeks of a student at three stages of one song: two are passed and come back, in the third something sticks. */
final readonly class DemoPractice
{
    private const STAGES = ['damped-rhythm', 'slow-and-even', 'releases'];

    private const BARS = 8;

    /** days ago, stage, tempo, bias ms, off-beat error ms, spread ms */
    private const TAKES = [
        [36, 0, 60, 6, -44, 24], [35, 0, 60, 4, -30, 16], [34, 0, 60, 2, -9, 9], [33, 0, 66, 3, -8, 8],
        [31, 0, 70, 2, -6, 8], [29, 1, 60, 4, -40, 22], [28, 1, 60, 2, -26, 15], [27, 0, 70, 3, -7, 8],
        [26, 1, 60, 2, -8, 9], [24, 1, 66, 3, -22, 14], [23, 1, 66, 2, -8, 9], [22, 1, 72, 3, -6, 8],
        [18, 0, 70, 2, -32, 21], [16, 2, 60, -12, -50, 22], [15, 2, 60, -12, -38, 18], [13, 0, 70, 2, -6, 8],
        [12, 2, 60, -12, -34, 15], [10, 1, 72, 2, -9, 10], [9, 2, 64, -12, -32, 13], [6, 2, 64, -12, -31, 11],
        [4, 2, 64, -12, -32, 11], [1, 2, 64, -12, -31, 10],
    ];

    /** number of the take, who says it, what */
    private const REMARKS = [
        [2, 'teacher', 'Count it aloud before the first stroke.'],
        [9, 'student', 'Easier with the heel of the hand on the bridge.'],
        [14, 'teacher', 'Let go with the fingers, not with the arm.'],
        [20, 'student', 'I leave the 2 too soon and then hurry.'],
    ];

    public function __construct(private TakeJudge $judge, private Assigning $assigning) {}

    public function of(User $teacher, User $student, Breakdown $breakdown): void
    {
        $this->assigning->give($teacher, $breakdown, [$student], self::STAGES, Carbon::now()->addDays(1), 12, true);
        foreach (self::TAKES as $number => [$daysAgo, $stage, $tempo, $bias, $offBeat, $spread]) {
            $asked = new AskedTake(
                mb_strtolower((string) Str::ulid()),
                new Tempo($tempo),
                self::BARS,
                StageKey::parse(self::STAGES[$stage]),
                Levels::HIGHEST,
                0.0,
            );
            $player = new SimulatedPlayer($bias, $offBeat, $spread, 0, 70 + $number);
            Carbon::withTestNow(Carbon::now()->subDays($daysAgo), function () use ($teacher, $student, $breakdown, $asked, $player, $number): void {
                $played = static fn (Timeline $timeline): Take => Take::read($player->taps($timeline, self::BARS));
                $this->judge->judge($breakdown, $student, $asked, $played);
                $this->say($teacher, $student, $asked->id, $number + 1);
            });
        }
    }

    private function say(User $teacher, User $student, string $take, int $number): void
    {
        foreach (self::REMARKS as [$of, $by, $text]) {
            if ($of === $number) {
                $author = $by === 'teacher' ? $teacher : $student;
                Remark::query()->create(['take_id' => $take, 'author_id' => $author->id, 'text' => $text]);
            }
        }
    }
}
