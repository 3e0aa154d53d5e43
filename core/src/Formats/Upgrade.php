<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Internal\UpgradeFrom1;

/**
 * Documents of older versions in today's shape: array to array, before anything is read, one version after the other. A new
 * version adds its step here.
 */
final readonly class Upgrade
{
    public function __construct(private UpgradeFrom1 $from1 = new UpgradeFrom1()) {}

    /**
     * @param array<array-key, mixed> $document of any shape: what is wrong in it stays wrong, for the reader to tell
     * @param int<1, 2>               $version  that it says it is of
     *
     * @return array<array-key, mixed>
     */
    public function toCurrent(array $document, int $version): array
    {
        return match ($version) {
            1 => $this->from1->upgrade($document),
            2 => $document,
        };
    }

    /**
     * Where a place of today's document was in one of an older version; both as JSON pointers.
     *
     * @param int<1, 2> $version
     */
    public function pointerBefore(string $pointer, int $version): string
    {
        return match ($version) {
            1 => $this->from1->pointerBefore($pointer),
            2 => $pointer,
        };
    }
}
