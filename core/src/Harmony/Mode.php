<?php

declare(strict_types=1);

namespace Gravik\Harmony;

enum Mode: string
{
    case Major = 'major';
    case Minor = 'minor';
}
