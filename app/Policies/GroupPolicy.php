<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Group;
use App\Models\Role;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class GroupPolicy
{
    public function make(User $user): bool
    {
        return $user->role === Role::Teacher;
    }

    public function own(User $user, Group $group): Response
    {
        return $group->teacher_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
