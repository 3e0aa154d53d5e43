<?php

declare(strict_types=1);

namespace Gravik\Harmony;

abstract class ChordNotUnderstood extends HarmonyException
{
    /**
     * @param int     $at      character of the symbol, from 0, where reading stopped
     * @param ?string $nearest a symbol that can be read, where one is close
     */
    public function __construct(string $message, public readonly string $symbol, public readonly int $at, public readonly ?string $nearest)
    {
        parent::__construct($message.($nearest === null ? '' : sprintf(' Did you mean "%s"?', $nearest)));
    }

    public function at(): int
    {
        return $this->at;
    }
}
