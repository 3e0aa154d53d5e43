<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use App\Models\User;
use Gravik\Breakdown\Breakdown as Document;
use Gravik\Breakdown\Desk;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\HandSketch;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Time\FeelWords;
use Illuminate\Support\Facades\DB;

/** Keeps breakdowns: every save is one transaction, and one sitting leaves one version to go back to. */
final readonly class BreakdownStore
{
    private const SITTING_MINUTES = 5;

    public function __construct(private BreakdownJson $json, private HandPlanner $planner) {}

    /**
     * A second create with the same id by the same owner (a double click) gives the first one back.
     *
     * @throws IdTaken when the id is another object's
     */
    public function create(User $owner, ?string $id, Document $document, string $sitting): Breakdown
    {
        return DB::transaction(function () use ($owner, $id, $document, $sitting): Breakdown {
            $existing = $id === null ? null : Breakdown::withTrashed()->find($id);
            if ($existing !== null) {
                return $existing->owner_id === $owner->id ? $existing : throw IdTaken::byABreakdown();
            }
            $breakdown = new Breakdown(['owner_id' => $owner->id, 'revision' => 1, 'sitting' => $sitting] + $this->columns($document));
            if ($id !== null) {
                $breakdown->id = $id;
            }
            $breakdown->save();
            $this->keep($breakdown, $owner, $sitting);

            return $breakdown;
        });
    }

    /** @throws StaleRevision when the save started from an older revision; what it brought is kept beside */
    public function save(Breakdown $breakdown, User $by, Document $document, int $from, string $sitting): Breakdown
    {
        $saved = DB::transaction(function () use ($breakdown, $by, $document, $from, $sitting): ?Breakdown {
            $columns = $this->columns($document);
            // The revision in the where clause makes check and write one step, also between two server workers.
            $updated = Breakdown::query()->whereKey($breakdown->id)->where('revision', $from)->update([
                'revision' => $from + 1,
                'sitting' => $sitting,
                'updated_at' => now(),
            ] + $columns);
            if ($updated === 1) {
                $fresh = Breakdown::query()->findOrFail($breakdown->id);
                $this->keep($fresh, $by, $sitting);

                return $fresh;
            }
            $current = Breakdown::query()->findOrFail($breakdown->id);
            if ($current->document === $columns['document']) {
                return $current;
            }
            $current->revisions()->create([
                'saved_by' => $by->id,
                'number' => $from + 1,
                'sitting' => $sitting,
                'refused' => true,
                'document' => $columns['document'],
            ]);

            return null;
        });

        return $saved ?? throw new StaleRevision(Breakdown::query()->findOrFail($breakdown->id));
    }

    public function document(Breakdown $breakdown): Document
    {
        return $this->json->parse($breakdown->document);
    }

    /** A document as it is stored. */
    public function encoded(Document $document): string
    {
        return json_encode($this->json->write($document), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** The version that is saved now is what somebody plays, takes along or is given: later saves of the sitting do not overwrite it. */
    public function refer(Breakdown $breakdown): void
    {
        BreakdownRevision::query()->where(
            'breakdown_id',
            $breakdown->id,
        )->where('number', $breakdown->revision)->where('refused', false)->update(['referred_to' => true]);
    }

    /**
     * One bar of the hand as the shelf draws it; of a breakdown kept by an older Gravik it is drawn now and kept.
     *
     * @return array<string, mixed>
     */
    public function sketch(Breakdown $breakdown): array
    {
        if ($breakdown->sketch === null) {
            $whole = Breakdown::withTrashed()->findOrFail($breakdown->id);
            $breakdown->sketch = $this->sketched($this->document($whole));
            Breakdown::query()->whereKey($breakdown->id)->toBase()->update(['sketch' => $breakdown->sketch]);
        }
        /** @var array<string, mixed> $sketch */
        $sketch = json_decode($breakdown->sketch, true, 16, JSON_THROW_ON_ERROR);

        return $sketch;
    }

    private function keep(Breakdown $breakdown, User $by, string $sitting): void
    {
        $latest = BreakdownRevision::query()->where('breakdown_id', $breakdown->id)->where('refused', false)->latest('number')->first();
        $sameSitting = $latest !== null && ! $latest->referred_to && $latest->sitting === $sitting && $latest->saved_by === $by->id
            && $latest->created_at->greaterThan(now()->subMinutes(self::SITTING_MINUTES));
        $values = ['saved_by' => $by->id, 'number' => $breakdown->revision, 'sitting' => $sitting, 'document' => $breakdown->document];
        $sameSitting ? $latest->update($values) : $breakdown->revisions()->create($values);
    }

    /**
     * @return array{title: string, genre: string, key: string, meter: string, tempo: float, feel: string, words: string, sketch: string, document: string}
     */
    private function columns(Document $document): array
    {
        $feel = FeelWords::of($document->start->feel, $document->start->tempo);

        return [
            'title' => $document->title,
            'genre' => $document->genre,
            'key' => $document->start->key->text(),
            'meter' => $document->start->meter->text(),
            'tempo' => $document->start->tempo->bpm,
            'feel' => $feel,
            'words' => mb_strtolower("{$document->title} {$document->genre} {$document->start->key->text()} {$feel} {$document->start->meter->text()}"),
            'sketch' => $this->sketched($document),
            'document' => $this->encoded($document),
        ];
    }

    private function sketched(Document $document): string
    {
        $desk = Desk::of($document);
        $ruler = $desk->ruler();

        return json_encode(
            HandSketch::of($this->planner->plan($desk->pattern(), $desk->school(), $ruler, $desk->setting->feel), $ruler),
            JSON_THROW_ON_ERROR,
        );
    }
}
