<?php

declare(strict_types=1);

namespace App\Documents;

use App\Jobs\HearSound;
use App\Models\AskedHearing;
use App\Models\Breakdown;
use App\Models\HearingState;
use App\Models\Take;
use App\Models\User;
use Illuminate\Support\Str;

/** Puts recordings in their turn to be heard. */
final readonly class HearingQueue
{
    /** What was heard and not fetched for so long was abandoned. */
    private const KEPT_SECONDS = 24 * 60 * 60;

    public function __construct(private SoundStore $sounds, private TakeStore $takes) {}

    /**
     * A recording to be listened to, of which nothing is kept.
     *
     * @param resource $sound
     */
    public function listen(User $user, mixed $sound, string $name): AskedHearing
    {
        return $this->ask($user, mb_strtolower((string) Str::ulid()), null, $sound, $name, false, null, null);
    }

    /**
     * A take; one that is sent twice is heard once.
     *
     * @param resource $sound
     * @param ?float   $firstBeat seconds into the recording; null where nobody knows
     *
     * @throws IdTaken
     */
    public function take(
        User $player,
        Breakdown $breakdown,
        AskedTake $asked,
        mixed $sound,
        string $name,
        ?float $firstBeat,
        bool $keepsSound,
    ): AskedHearing {
        $known = AskedHearing::query()->find($asked->id);
        if ($known !== null && ($known->user_id !== $player->id || $known->breakdown_id !== $breakdown->id)) {
            throw IdTaken::byATake();
        }
        // One that was refused may be sent again: perhaps its end was lost on the way.
        if ($known !== null && $known->state !== HearingState::Refused) {
            return $known;
        }
        $known?->delete();
        if ($this->takes->known($breakdown, $player, $asked->id) !== null) {
            return new AskedHearing([
                'user_id' => $player->id,
                'breakdown_id' => $breakdown->id,
                'name' => $name,
                'state' => HearingState::Done,
                'done' => 1,
            ] + ['id' => $asked->id]);
        }

        return $this->ask($player, $asked->id, $breakdown, $sound, $name, $keepsSound, $asked, $firstBeat);
    }

    /** The take that a recording became; null where it is not judged yet, or never was one. */
    public function judged(AskedHearing $hearing): ?Take
    {
        return $hearing->breakdown_id === null || $hearing->state !== HearingState::Done
            ? null
            : Take::query()->with('player')->find($hearing->id);
    }

    /** @param resource $sound */
    private function ask(
        User $user,
        string $id,
        ?Breakdown $breakdown,
        mixed $sound,
        string $name,
        bool $keepsSound,
        ?AskedTake $asked,
        ?float $firstBeat,
    ): AskedHearing {
        $this->sweep();
        $this->sounds->wait($id, $sound);
        $hearing = AskedHearing::query()->create([
            'id' => $id,
            'user_id' => $user->id,
            'breakdown_id' => $breakdown?->id,
            'name' => $name,
            'state' => HearingState::Waits,
            'keeps_sound' => $keepsSound,
        ]);
        HearSound::dispatch($id, $asked, $firstBeat);

        return $hearing->refresh();
    }

    private function sweep(): void
    {
        $before = now()->subSeconds(self::KEPT_SECONDS);
        AskedHearing::query()->where('created_at', '<', $before)->delete();
        $this->sounds->forgetWaitingBefore($before->getTimestamp());
    }
}
