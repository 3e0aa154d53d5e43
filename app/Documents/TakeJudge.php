<?php

declare(strict_types=1);

namespace App\Documents;

use App\Compute\VoicedForms;
use App\Models\Breakdown;
use App\Models\Take;
use App\Models\User;
use Gravik\Listening\LockReporter;
use Gravik\Listening\Take as PlayedTake;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Time\Tempo;

/** Holds what was played against the breakdown as it stands on the shelf, and keeps it with its report. */
final readonly class TakeJudge
{
    public function __construct(private BreakdownStore $store, private VoicedForms $voiced, private Performer $performer, private LockReporter $reporter, private TakeStore $takes) {}

    /** @param callable(Timeline): PlayedTake $played what was played, once it is known what was planned */
    public function judge(Breakdown $breakdown, User $player, string $id, Tempo $tempo, int $bars, ?float $latencyMs, int $stage, callable $played): Take
    {
        $document = $this->store->document($breakdown);
        $timeline = $this->performer->perform($document, $tempo, $this->voiced->of($document));
        $take = $played($timeline);
        $report = $this->reporter->report($take, $timeline, $document->feel->unit, $latencyMs, $this->takes->lastCleanTempo($breakdown, $player), $document->gate($stage));

        return $this->takes->keep($breakdown, $player, mb_strtolower($id), $bars, $stage, $take, $timeline->ruler, $report);
    }
}
