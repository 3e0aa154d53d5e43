<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** What somebody does in a pass in which they do not play: nobody sits idle. */
enum SparedTask: string
{
    case Counts = 'counts';
    case Listens = 'listens';
    case Turns = 'turns';
    case Claps = 'claps';

    public function words(): string
    {
        return match ($this) {
            self::Counts => 'counts aloud',
            self::Listens => 'takes the balance test from the room',
            self::Turns => 'turns the pages',
            self::Claps => 'claps 2 and 4',
        };
    }
}
