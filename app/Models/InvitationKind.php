<?php

declare(strict_types=1);

namespace App\Models;

enum InvitationKind: string
{
    case Student = 'student';
    case Teacher = 'teacher';
    /** A new password for somebody who forgot theirs. */
    case Password = 'password';
}
