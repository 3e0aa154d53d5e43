<?php

declare(strict_types=1);

namespace Tests;

use App\Documents\BreakdownStore;
use App\Models\Breakdown;
use App\Models\Role;
use App\Models\User;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Str;

abstract class TestCase extends LaravelTestCase
{
    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** Somebody else sits down at the same browser: what the session knew of the one before goes with them. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        session()->forget('password_hash_web');

        return parent::actingAs($user, $guard);
    }

    public function teacher(string $name = 'Teacher'): User
    {
        return $this->person($name, Role::Teacher);
    }

    public function student(string $name = 'Student'): User
    {
        return $this->person($name, Role::Student);
    }

    /** @param array<string, mixed> $fields of the document */
    public function shelved(User $owner, array $fields = []): Breakdown
    {
        return app(BreakdownStore::class)->create($owner, null, Examples::breakdown($fields), 'setting up');
    }

    /**
     * A document with proposals taken over.
     *
     * @param array<string, mixed>                                                           $document of any version
     * @param list<array{field: string, id: ?string, was: mixed, becomes: mixed}> $patches
     *
     * @return array<string, mixed>
     */
    public function patched(array $document, array $patches): array
    {
        $json = new BreakdownJson();
        $document = $json->write($json->read($document));
        foreach ($patches as ['field' => $field, 'id' => $id, 'was' => $was, 'becomes' => $becomes]) {
            $place = $id === null ? null : (int) array_search($id, array_column($document[$field], 'id'), true);
            expect($place === null ? $document[$field] ?? [] : $document[$field][$place])->toBe($was);
            if ($place === null) {
                $document[$field] = $becomes;
            } else {
                $document[$field][$place] = $becomes;
            }
        }

        return $document;
    }

    /** @return array{User, User, Breakdown} a teacher, a student of theirs and a breakdown on the shelf */
    public function lesson(): array
    {
        [$teacher, $student] = [$this->teacher(), $this->student()];
        $teacher->students()->attach($student);

        return [$teacher, $student, $this->shelved($teacher)];
    }

    /** @return array<string, mixed> a take of the example, of the whole song or a stage of it, so late */
    public function playedTake(float $biasMs, ?string $stage = null): array
    {
        $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo(120));

        return ['id' => $this->newId(), 'tempo' => 120, 'bars' => 8, 'latency_ms' => 0, 'stage' => $stage,
            'taps' => (new SimulatedPlayer($biasMs, 0, 3, 0, 5))->taps($timeline, 8)];
    }

    public function newId(): string
    {
        return mb_strtolower((string) Str::ulid());
    }

    private function person(string $name, Role $role): User
    {
        return User::query()->create(['name' => $name, 'email' => Str::slug($name).'@gravik.test', 'password' => 'harbour-light', 'role' => $role]);
    }
}
