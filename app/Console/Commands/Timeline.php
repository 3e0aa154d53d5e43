<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\TimelineResource;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;

final class Timeline extends CoreCommand
{
    protected $signature = 'gravik:timeline {file} {--tempo=} {--json}';

    protected $description = 'A breakdown played once through its form, as timed events of every part';

    protected function compute(): void
    {
        $timeline = (new Performer())->perform($this->breakdownFile($this->word('file')), $this->tempo());
        $this->answer(
            ['tempo' => $timeline->map->first()->tempo->bpm, 'events' => TimelineResource::events($timeline)],
            array_map(
                static fn (Event $event): string => sprintf(
                    '%9.4f s  %-6s %-9s %s',
                    $event->t,
                    $event->part->instrument->value,
                    $event->kind->value,
                    $event->pitch ?? '–',
                ),
                $timeline->events,
            ),
        );
    }
}
