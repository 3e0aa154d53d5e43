<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** Something that may be a slip: it asks and proposes, and never changes anything by itself. */
final readonly class Remark
{
    /**
     * @param ?array{section: int, bar: int, at: int} $place of the chord it is about; null for the whole breakdown
     * @param list<array{text: string, breakdown: Breakdown}> $fixes the nearest first, each with the breakdown as it would be
     */
    public function __construct(public RemarkKind $kind, public ?array $place, public string $text, public array $fixes) {}
}
