<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DraftNotReadable;

final class ScoreNotReadable extends DraftNotReadable
{
    public function __construct(public readonly string $why, public readonly ?int $inLine = null)
    {
        parent::__construct('This is not a score that can be read: '.$why.($inLine === null ? '' : " (line {$inLine})").'.');
    }
}
