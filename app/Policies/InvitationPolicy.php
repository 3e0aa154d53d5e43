<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Role;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class InvitationPolicy
{
    /** The owner invites teachers; a teacher invites students and helps with forgotten passwords. */
    public function make(User $user, InvitationKind $kind): bool
    {
        return match ($kind) {
            InvitationKind::Teacher => $user->owner,
            InvitationKind::Student, InvitationKind::Password => $user->role === Role::Teacher,
        };
    }

    public function own(User $user, Invitation $invitation): Response
    {
        return $invitation->made_by === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
