<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Documents\AskedTake;
use App\Documents\IdTaken;
use App\Documents\SoundStore;
use App\Documents\TakeJudge;
use App\Http\Resources\HearingResource;
use App\Models\AskedHearing;
use App\Models\HearingState;
use Gravik\CoreException;
use Gravik\Formats\TakeFile;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\Lock\Take as PlayedTake;
use Gravik\Performance\Timeline;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Throwable;

/** Hears a recording apart from the web server; a worker that was killed at it leaves it to the next, and it is judged once. */
final class HearSound implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 5;

    /** Ten minutes of sound take half a minute here, and three times that on a slow machine. */
    public int $timeout = 300;

    private const SAYS_EVERY = 0.5;

    /** Reading the recording takes about so much of the time when its notes are heard afterwards. */
    private const SHARE_OF_STROKES = 0.4;

    /** @param ?float $firstBeat seconds into the recording; null where nobody knows */
    public function __construct(
        private readonly string $hearing,
        private readonly ?AskedTake $asked = null,
        private readonly ?float $firstBeat = null,
    ) {}

    public function handle(SoundStore $sounds, StrokeListener $listener, TakeJudge $judge): void
    {
        $hearing = AskedHearing::query()->find($this->hearing);
        if ($hearing === null || $hearing->state->isOver()) {
            $sounds->forgetWaiting($this->hearing);

            return;
        }
        $path = $sounds->waiting($hearing->id);
        $hearing->update(['state' => HearingState::IsHeard]);

        try {
            match (true) {
                $path === null => $this->refuse($hearing, 'This recording is not here any more. Send it again.'),
                $this->asked === null => $this->listen($hearing, $path, $listener),
                default => $this->take($hearing, $this->asked, $path, $listener, $judge, $sounds),
            };
        } catch (CoreException|IdTaken $refusal) {
            $this->refuse($hearing, $refusal->getMessage());
        }
        $sounds->forgetWaiting($hearing->id);
    }

    /** After the last try. */
    public function failed(?Throwable $failure): void
    {
        $hearing = AskedHearing::query()->find($this->hearing);
        if ($hearing !== null && ! $hearing->state->isOver()) {
            $this->refuse($hearing, 'This recording could not be heard; that is our fault, not yours. Send it again, or a shorter one.');
        }
    }

    private function listen(AskedHearing $hearing, string $path, StrokeListener $listener): void
    {
        $file = TakeFile::read($path, $hearing->name, $listener, $this->telling($hearing, self::SHARE_OF_STROKES));
        $hearing->update(['state' => HearingState::Done, 'done' => 1, 'heard' => HearingResource::of($file, $file->notes())]);
    }

    private function take(
        AskedHearing $hearing,
        AskedTake $asked,
        string $path,
        StrokeListener $listener,
        TakeJudge $judge,
        SoundStore $sounds,
    ): void {
        $breakdown = $hearing->breakdown;
        if ($breakdown === null || Gate::forUser($hearing->user)->denies('view', $breakdown)) {
            $this->refuse($hearing, 'This is not yours to play any more: your teacher has taken it back. Ask them about it.');

            return;
        }
        $at = null;
        $hear = function (Timeline $timeline) use ($hearing, $asked, $path, $listener, &$at): PlayedTake {
            $file = TakeFile::read($path, $hearing->name, $listener, $this->telling($hearing));
            $ear = $file->hearing?->ear;
            $take = $this->firstBeat === null
                ? PlayedTake::placed($file->strokes, $timeline, $ear)
                : PlayedTake::of($file->strokes, $this->firstBeat, $ear)->within($asked->bars, $timeline, $asked->from);
            $at = $this->firstBeat ?? ($file->strokes === [] ? 0.0 : $file->strokes[0]->t - $take->taps[0]->t);

            return $take;
        };
        $waited = $asked->waited + (int) $hearing->created_at->diffInSeconds(now());
        $take = $judge->judge($breakdown, $hearing->user, $asked->waitedFor($waited), $hear);
        if ($hearing->keeps_sound && $at !== null) {
            $sounds->keep($take, $at);
        }
        $hearing->update(['state' => HearingState::Done, 'done' => 1]);
    }

    private function refuse(AskedHearing $hearing, string $message): void
    {
        $hearing->update(['state' => HearingState::Refused, 'message' => mb_substr($message, 0, 500)]);
    }

    /**
     * Says now and then how far it is, and to the queue that this job is still at work.
     *
     * @param float $share of all the work that reading is
     */
    private function telling(AskedHearing $hearing, float $share = 1.0): \Closure
    {
        $said = 0.0;

        return function (float $done) use ($hearing, $share, &$said): void {
            if (microtime(true) - $said < self::SAYS_EVERY) {
                return;
            }
            $said = microtime(true);
            $hearing->update(['done' => round($share * min(1.0, $done), 4)]);
            if ($this->job?->getConnectionName() === 'database') {
                DB::table('jobs')->where('id', $this->job->getJobId())->update(['reserved_at' => now()->getTimestamp()]);
            }
        };
    }
}
