<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Take;
use App\Models\User;

/** A take is seen by who played it and by the teacher whose breakdown it is of. */
final class TakePolicy
{
    public function view(User $user, Take $take): bool
    {
        return $take->player_id === $user->id || $take->breakdown?->owner_id === $user->id;
    }
}
