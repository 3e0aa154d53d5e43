<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\KeptMove;
use App\Models\User;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FreeId;
use Gravik\Breakdown\Figure;
use Gravik\Formats\BreakdownJson;

/** Moves on their way between the songs they come from and the shelf they are kept on. */
final readonly class MoveStore
{
    public function __construct(private BreakdownJson $json) {}

    /** The same name again replaces what was kept under it. */
    public function keep(User $owner, Breakdown $from, Figure $move, string $name): KeptMove
    {
        $written = $this->json->write((new FigureKeeper())->keep($from, $move));
        $figures = array_column($written['figures'], null, 'id');

        return KeptMove::query()->updateOrCreate(
            ['owner_id' => $owner->id, 'name' => $name],
            ['figure' => ['name' => $name] + $figures[$move->id]],
        );
    }

    /**
     * The move as a figure of a song, under an id that is free there; the one it has already where it is the same.
     *
     * @return array{Breakdown, Figure}
     */
    public function into(KeptMove $move, Breakdown $song): array
    {
        $written = $this->json->write($song);
        foreach ($written['figures'] as $known) {
            if (['id' => ''] + $known === ['id' => ''] + $move->figure) {
                return [$song, $song->figure($known['id'])];
            }
        }
        $id = FreeId::after('f', $song->figures);
        $with = $this->json->read(['figures' => [...$written['figures'], ['id' => $id] + $move->figure]] + $written);

        return [$with, $with->figure($id)];
    }
}
