<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Take;
use App\Models\User;
use Illuminate\Contracts\Filesystem\Filesystem;

/** Recordings on their way to be heard, and those that are kept with a take because their player agreed. */
final readonly class SoundStore
{
    private const WAITING = 'waiting';

    private const KEPT = 'sounds';

    public function __construct(private Filesystem $files) {}

    /** @param resource $sound */
    public function wait(string $id, mixed $sound): void
    {
        $this->files->writeStream(self::WAITING."/{$id}", $sound);
    }

    /** The path of what waits; null where it is gone. */
    public function waiting(string $id): ?string
    {
        return $this->files->exists(self::WAITING."/{$id}") ? $this->files->path(self::WAITING."/{$id}") : null;
    }

    public function forgetWaiting(string $id): void
    {
        $this->files->delete(self::WAITING."/{$id}");
    }

    /** @param float $at second at which bar 1 beat 1 lies in it */
    public function keep(Take $take, float $at): void
    {
        if ($this->files->move(self::WAITING."/{$take->id}", self::KEPT."/{$take->id}")) {
            $take->update(['sound_at' => $at]);
        }
    }

    /** The path of a take's sound; null where none is kept. */
    public function of(Take $take): ?string
    {
        return $take->sound_at !== null && $this->files->exists(self::KEPT."/{$take->id}") ? $this->files->path(self::KEPT."/{$take->id}") : null;
    }

    public function forget(Take $take): void
    {
        $this->files->delete(self::KEPT."/{$take->id}");
        $take->update(['sound_at' => null]);
    }

    /** All that was kept of a player's. */
    public function forgetAllOf(User $player): void
    {
        $kept = Take::query()->where('player_id', $player->id);
        $kept->whereNotNull('sound_at');
        foreach ($kept->get(['id', 'sound_at']) as $take) {
            $this->forget($take);
        }
    }

    /** What nobody fetched for so long was abandoned. */
    public function forgetWaitingBefore(int $timestamp): void
    {
        foreach ($this->files->files(self::WAITING) as $path) {
            if ($this->files->lastModified($path) < $timestamp) {
                $this->files->delete($path);
            }
        }
    }
}
