<?php

declare(strict_types=1);

namespace Gravik;

/** A failure of the core's: its message tells a person what is wrong and what to do, its public fields hold the facts. */
abstract class CoreException extends \InvalidArgumentException
{
    /** Where it is wrong: a character of the text that was read, from 0, or a JSON pointer into the document; null where there is no such place. */
    public function at(): int|string|null
    {
        return null;
    }
}
