<?php

declare(strict_types=1);

namespace App\School;

use App\Http\SignInGuard;
use App\Models\Record;
use App\Models\RecordKind;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Whoever has shown who they are is signed in, with a session of their own. */
final readonly class Entrance
{
    public function __construct(private SignInGuard $guard) {}

    public function letIn(Request $request, User $user): void
    {
        Record::note($user, $user->wasRecentlyCreated ? RecordKind::CameIn : RecordKind::SignedIn);
        Auth::login($user);
        $request->session()->regenerate();
        $this->guard->remember($request, $user);
    }
}
