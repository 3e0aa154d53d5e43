<?php

declare(strict_types=1);

namespace App\School;

use App\Compute\VoicedForms;
use App\Documents\BreakdownStore;
use App\Models\Assignment;
use App\Models\Breakdown;
use App\Models\Record;
use App\Models\RecordKind;
use App\Models\User;
use Gravik\Breakdown\Differences;
use Gravik\Breakdown\Failure\StageNotReadable;
use Gravik\Lesson\Steps\LessonPlanner;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Gives students work: a breakdown in the revision of today, the stages to go through, and until when. */
final readonly class Assigning
{
    public function __construct(
        private BreakdownStore $store,
        private VoicedForms $voiced,
        private LessonPlanner $planner,
        private AssignedVersions $versions,
        private Easing $easing,
    ) {}

    /**
     * Whoever works at it already is given it anew, from the first stage on.
     *
     * @param list<User>   $students of the teacher
     * @param list<string> $stages   keys of the lesson's; none for the whole song
     *
     * @return list<Assignment>
     *
     * @throws StageNotReadable where the lesson has no such stage
     */
    public function give(
        User $by,
        Breakdown $breakdown,
        array $students,
        array $stages,
        ?Carbon $due,
        int $minutes,
        bool $opens,
    ): array {
        $named = $this->named($breakdown, $stages);

        return DB::transaction(function () use ($by, $breakdown, $students, $named, $due, $minutes, $opens): array {
            $this->store->refer($breakdown);
            Record::note($by, RecordKind::Gave, "“{$breakdown->title}” to ".implode(', ', array_column($students, 'name')));

            return array_map(function (User $student) use ($by, $breakdown, $named, $due, $minutes, $opens): Assignment {
                $assignment = Assignment::query()->updateOrCreate(
                    ['breakdown_id' => $breakdown->id, 'student_id' => $student->id],
                    [
                        'revision' => $breakdown->revision,
                        'stages' => $named === [] ? null : $named,
                        'reached' => 0,
                        'opens' => $opens,
                        'due_on' => $due,
                        'minutes' => $minutes,
                        'given_by' => $by->id,
                        'passed_at' => null,
                    ],
                );
                $this->easing->of($assignment->refresh()->setRelation('breakdown', $breakdown)->setRelation('student', $student));

                return $assignment;
            }, $students);
        });
    }

    /** The work goes on with the breakdown as it is now. */
    public function renew(Assignment $assignment): void
    {
        DB::transaction(function () use ($assignment): void {
            $this->store->refer($assignment->breakdown);
            $assignment->update(['revision' => $assignment->breakdown->revision]);
            $this->easing->of($assignment->loadMissing('student'));
        });
    }

    /** @return list<string> what the student's version has otherwise than today's */
    public function differences(Assignment $assignment): array
    {
        $breakdown = $assignment->breakdown;
        if ($assignment->revision >= $breakdown->revision) {
            return [];
        }

        return Differences::between(
            $this->store->document($this->versions->at($breakdown, $assignment->revision)),
            $this->store->document($breakdown),
        );
    }

    /**
     * @param list<string> $stages
     *
     * @return list<array{key: string, name: string, tempo: int}> as the lesson calls them now, with the tempo they begin at
     */
    private function named(Breakdown $breakdown, array $stages): array
    {
        if ($stages === []) {
            return [];
        }
        $song = $this->store->document($breakdown);
        $told = [];
        foreach ($this->planner->plan($song, $this->voiced->all($song))->stages() as $stage) {
            $key = $stage->planned->key->text();
            $told[$key] = $stage->planned->number === null
                ? null
                : ['key' => $key, 'name' => $stage->name, 'tempo' => (int) $stage->ladder->start];
        }
        foreach ($stages as $key) {
            isset($told[$key]) || throw new StageNotReadable($key);
        }

        return array_values(array_intersect_key(array_filter($told), array_flip($stages)));
    }
}
