<?php

declare(strict_types=1);

namespace App\Documents;

use App\Compute\StagedSongs;
use App\Compute\VoicedForms;
use App\Models\Breakdown;
use App\Models\Take;
use App\Models\User;
use App\School\AssignedVersions;
use App\School\Progress;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take as PlayedTake;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Illuminate\Support\Facades\DB;

/** Holds what was played against the breakdown as it stands on the shelf, and keeps it with its report. */
final readonly class TakeJudge
{
    public function __construct(
        private BreakdownStore $store,
        private VoicedForms $voiced,
        private StagedSongs $songs,
        private Performer $performer,
        private LockReporter $reporter,
        private TakeStore $takes,
        private AssignedVersions $versions,
        private Progress $progress,
    ) {}

    /**
     * A take that was sent twice is neither heard nor judged again.
     *
     * @param callable(Timeline): PlayedTake $played what was played, once it is known what was planned
     *
     * @throws IdTaken
     */
    public function judge(Breakdown $breakdown, User $player, AskedTake $asked, callable $played): Take
    {
        $known = $this->takes->known($breakdown, $player, $asked->id);
        if ($known !== null) {
            return $known;
        }
        $breakdown = $this->versions->seenBy($breakdown, $player);
        $document = $this->store->document($breakdown);
        $song = $this->songs->of($document, $asked->stage, $asked->arrangement);
        $level = min($song->level, $asked->level);
        $timeline = $this->performer->perform($song->breakdown, $asked->tempo, $this->voiced->all($song->breakdown), $level);
        $take = $played($timeline);
        $report = $this->reporter->report(
            $take,
            $timeline,
            $document->start->feel->unit,
            $asked->latencyMs,
            $this->takes->lastCleanTempo($breakdown, $player),
            $document->gate($asked->stage ?? new StageKey(Stage::usual())),
            $asked->bars,
            $asked->from,
        );

        return DB::transaction(function () use ($breakdown, $player, $asked, $take, $timeline, $report): Take {
            $kept = $this->takes->keep($breakdown, $player, $asked, $take, $timeline->map->first(), $report);
            if ($kept->wasRecentlyCreated) {
                $this->progress->took($kept);
            }

            return $kept;
        });
    }
}
