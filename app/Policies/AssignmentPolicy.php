<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Assignment;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Whoever owns the breakdown gives, changes and withdraws the work at it. */
final class AssignmentPolicy
{
    public function own(User $user, Assignment $assignment): Response
    {
        return $assignment->loadMissing('breakdown')->breakdown->owner_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
