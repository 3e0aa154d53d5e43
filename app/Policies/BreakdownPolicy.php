<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Breakdown;
use App\Models\Role;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Teachers make breakdowns and do everything with their own; a student may look at and play what is assigned to them. */
final class BreakdownPolicy
{
    public function view(User $user, Breakdown $breakdown): Response
    {
        return $breakdown->owner_id === $user->id || $this->isAssigned($user, $breakdown) ? Response::allow() : Response::denyAsNotFound();
    }

    public function create(User $user): bool
    {
        return $user->role === Role::Teacher;
    }

    /** What a person may look at and not change is forbidden; what they may not even see is not there. */
    public function own(User $user, Breakdown $breakdown): Response
    {
        return match (true) {
            $breakdown->owner_id === $user->id => Response::allow(),
            $this->isAssigned($user, $breakdown) => Response::deny(),
            default => Response::denyAsNotFound(),
        };
    }

    private function isAssigned(User $user, Breakdown $breakdown): bool
    {
        return $breakdown->students()->whereKey($user->id)->exists();
    }
}
