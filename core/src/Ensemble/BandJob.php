<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Role;

/** What one member does in one pass: a part with its role, or a task. */
final readonly class BandJob
{
    private function __construct(public int $member, public ?BandPart $part, public ?Role $role, public ?SparedTask $task) {}

    public static function plays(int $member, BandPart $part, Role $role): self
    {
        return new self($member, $part, $role, null);
    }

    public static function spared(int $member, SparedTask $task): self
    {
        return new self($member, null, null, $task);
    }

    public function words(): string
    {
        return match (true) {
            $this->task !== null => $this->task->words(),
            $this->part !== null && $this->role !== null => "{$this->part->instrument->words()}, {$this->role->words()}",
            default => '',
        };
    }
}
