<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Seat;
use Gravik\Breakdown\Failure\BalanceOutOfRange;

/** What somebody heard of the guitar in the band: from where, at which gain, and how it sat. */
final readonly class BalanceNote
{
    private const MOST_DB = 24;

    /**
     * @param string $on     day: 2026-03-09
     * @param ?float $gainDb of the guitar against how it is written; null for the band without it
     */
    public function __construct(public string $on, public Seat $seat, public ?float $gainDb, public BalanceVerdict $verdict)
    {
        if (preg_match('/^\d{4}-\d{2}-\d{2}$/', $on) !== 1 || abs($gainDb ?? 0.0) > self::MOST_DB) {
            throw new BalanceOutOfRange();
        }
    }
}
