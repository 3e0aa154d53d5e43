<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Breakdown\Stage;

/** One thing a take shows, in plain words, with what to practise. */
final readonly class Finding
{
    /**
     * @param list<int> $slots    concerned
     * @param float     $severity size over tolerance; above 1 is worth saying
     * @param int       $strokes  affected
     * @param ?Stage    $stage    to practise
     * @param ?int      $tempo    to practise at
     * @param bool      $sure     whether all that it may be lies beyond what is tolerated
     */
    public function __construct(
        public FindingKind $kind,
        public array $slots,
        public string $text,
        public float $severity = 0.0,
        public int $strokes = 0,
        public ?Stage $stage = null,
        public ?int $tempo = null,
        public bool $sure = true,
    ) {}
}
