<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\DynamicNotPossible;

/** How loud a section is from one of its bars on. */
final readonly class Dynamic
{
    public const HUSH = 1;

    public const FIRM = 3;

    public const FULL = 4;

    /**
     * @param int  $bar    of the section, from 0; those of its ending count on after its line
     * @param int  $level  1 hush, 2 soft, 3 firm, 4 full
     * @param bool $grows  whether the bars before it, from the mark before, grow or fade towards it
     */
    public function __construct(public int $bar, public int $level, public bool $grows = false)
    {
        if ($bar < 0 || $level < self::HUSH || $level > self::FULL) {
            throw new DynamicNotPossible($bar, $level);
        }
    }
}
