<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Breakdown;
use App\Models\Role;
use App\Models\User;

/** Teachers make breakdowns and do everything with their own; a student may look at and play what is assigned to them. */
final class BreakdownPolicy
{
    public function view(User $user, Breakdown $breakdown): bool
    {
        return $this->own($user, $breakdown) || $breakdown->students()->whereKey($user->id)->exists();
    }

    public function create(User $user): bool
    {
        return $user->role === Role::Teacher;
    }

    public function own(User $user, Breakdown $breakdown): bool
    {
        return $breakdown->owner_id === $user->id;
    }
}
