<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\HarmonyException;
use Gravik\Quote;

final class KeyNotReadable extends HarmonyException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf(
            '"%s" is no key. Write a note and major or minor, such as "D minor", "Am" or "E♭".',
            Quote::short($typed),
        ));
    }
}
