<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

/** Where a slot goes from take to take. */
enum SlotCourse: string
{
    case TooFew = 'too-few';
    case Holds = 'holds';
    case Closes = 'closes';
    case Stays = 'stays';
    case Widens = 'widens';
}
