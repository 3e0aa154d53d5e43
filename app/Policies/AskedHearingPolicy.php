<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\AskedHearing;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class AskedHearingPolicy
{
    public function own(User $user, AskedHearing $hearing): Response
    {
        return $hearing->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
