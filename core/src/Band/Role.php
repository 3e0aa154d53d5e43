<?php

declare(strict_types=1);

namespace Gravik\Band;

/** What a part does while a section comes. */
enum Role: string
{
    case Active = 'active';
    case Out = 'out';
}
