<?php

declare(strict_types=1);

namespace Gravik\Time;

enum FeelMode: string
{
    case Fixed = 'fixed';
    case FollowsTempo = 'follows-tempo';
}
