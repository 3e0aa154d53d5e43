<?php

declare(strict_types=1);

namespace App\School;

use App\Compute\VoicedForms;
use App\Documents\BreakdownStore;
use App\Models\Assignment;
use App\Models\User;
use Gravik\Breakdown\EasedGrip;
use Gravik\Breakdown\EasedGrips;
use Gravik\Neck\HandProfile;

/** Gives assigned work in grips that its student's hand can take; the teacher sees which, and may overrule it. */
final readonly class Easing
{
    public function __construct(private AssignedVersions $versions, private BreakdownStore $store, private VoicedForms $voiced) {}

    public function of(Assignment $assignment): void
    {
        $hand = HandProfile::parse($assignment->student->hand);
        if (! $assignment->eases || $hand->text() === (new HandProfile())->text()) {
            $assignment->update(['eased' => null, 'eased_document' => null]);

            return;
        }
        $song = $this->store->document($this->versions->at($assignment->breakdown, $assignment->revision));
        $eased = EasedGrips::of($song, $hand, $this->voiced->all($song));
        $assignment->update($eased->grips === [] ? ['eased' => null, 'eased_document' => null] : [
            'eased' => array_map(static fn (EasedGrip $grip): array => [
                'symbol' => $grip->symbol,
                'why' => $grip->why,
                'was' => $grip->was,
                'now' => $grip->now,
            ], $eased->grips),
            'eased_document' => $this->store->encoded($eased->song),
        ]);
    }

    /** The hand is another than it was: what is still worked at is given for it. */
    public function allOf(User $student): void
    {
        $open = Assignment::query()->with(['breakdown', 'student'])->where('student_id', $student->id);
        $open->whereNull('passed_at');
        foreach ($open->get() as $assignment) {
            $this->of($assignment);
        }
    }
}
