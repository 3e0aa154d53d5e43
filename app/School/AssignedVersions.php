<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Assignment;
use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use App\Models\User;

/** A student reads and plays a breakdown as it was when it was given to them, whatever the teacher has changed since. */
final readonly class AssignedVersions
{
    /** The breakdown with the document that this person knows; not to be saved. */
    public function seenBy(Breakdown $breakdown, User $reader): Breakdown
    {
        if ($breakdown->owner_id === $reader->id) {
            return $breakdown;
        }
        $assignment = Assignment::query()->where('breakdown_id', $breakdown->id)->where('student_id', $reader->id)
            ->first(['revision', 'eased_document']);
        if ($assignment === null) {
            return $breakdown;
        }
        $seen = $assignment->revision >= $breakdown->revision ? $breakdown : $this->at($breakdown, $assignment->revision);
        if ($assignment->eased_document !== null) {
            $seen = clone $seen;
            $seen->document = $assignment->eased_document;
        }

        return $seen;
    }

    /** The breakdown at a revision; as it is now where that one was not kept. */
    public function at(Breakdown $breakdown, int $revision): Breakdown
    {
        $kept = BreakdownRevision::query()->where('breakdown_id', $breakdown->id)->where('refused', false)
            ->where('number', $revision)->latest('id')->first(['document', 'number']);
        if ($kept === null) {
            return $breakdown;
        }
        $seen = clone $breakdown;
        $seen->document = $kept->document;
        $seen->revision = $kept->number;

        return $seen;
    }
}
