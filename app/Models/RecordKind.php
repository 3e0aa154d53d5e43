<?php

declare(strict_types=1);

namespace App\Models;

enum RecordKind: string
{
    case SignedIn = 'signed-in';
    case CameIn = 'came-in';
    case Invited = 'invited';
    case Gave = 'gave';
    case TookBack = 'took-back';
    case ChangedAccount = 'changed-account';
    case Left = 'left';

    public function words(): string
    {
        return match ($this) {
            self::SignedIn => 'signed in',
            self::CameIn => 'came in for the first time',
            self::Invited => 'made a link for',
            self::Gave => 'gave work:',
            self::TookBack => 'took work back:',
            self::ChangedAccount => 'changed the account',
            self::Left => 'deleted the account',
        };
    }
}
