<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class StandInNotPossible extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $id, public readonly string $for)
    {
        parent::__construct(
            "\"{$id}\" cannot stand in for \"{$for}\" where the guitar is alone: it must be in the same meter, and no stand-in itself.",
            $pointer,
        );
    }
}
