<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

final class UserPolicy
{
    /** The whole school. */
    public function own(User $user): bool
    {
        return $user->owner;
    }

    public function teach(User $user): bool
    {
        return $user->role === Role::Teacher;
    }
}
