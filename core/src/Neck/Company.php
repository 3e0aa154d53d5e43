<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\NeckChoiceUnknown;

/** Who plays along decides what a grip may leave out. On the command line alone is called solo. */
enum Company: string
{
    case Alone = 'alone';
    case WithBass = 'with-bass';
    case Shell = 'shell';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed === 'solo' ? 'alone' : $typed)
            ?? throw new NeckChoiceUnknown('company', $typed, 'solo, with-bass, shell');
    }
}
