<?php

declare(strict_types=1);

use App\Documents\BreakdownStore;
use App\Models\AskedHearing;
use App\Models\Group;
use App\Models\HearingState;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Take;
use App\Models\User;
use App\School\Assigning;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

/** @return array<string, User|null> who might ask: of the breakdown, its teacher and their student are the owner's people */
function everybody(Tests\TestCase $case): array
{
    $owner = $case->teacher('Owner');
    $owner->update(['owner' => true]);
    [$teacher, $other, $student, $stranger] = [$case->teacher(), $case->teacher('Other'), $case->student(), $case->student('Stranger')];
    $teacher->students()->attach($student);
    $other->students()->attach($stranger);

    return ['nobody' => null, 'owner' => $owner, 'teacher' => $teacher, 'other teacher' => $other,
        'student' => $student, 'other student' => $stranger];
}

/** The answers that say that something is there for this person, whatever they sent with it. */
const THERE = [200, 201, 204, 409, 422];

it('shows everything that has an owner to whom it belongs and to nobody else', function (): void {
    $people = everybody($this);
    ['teacher' => $teacher, 'student' => $student] = $people;
    $breakdown = app(BreakdownStore::class)->create($teacher, null, Examples::breakdown(), 'setting up');
    [$assignment] = app(Assigning::class)->give($teacher, $breakdown, [$student], [], null, 10, true);
    $take = $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", [
        'id' => $this->newId(), 'tempo' => 120, 'bars' => 2, 'latency_ms' => 0, 'taps' => [['t' => 0.0], ['t' => 0.5]]])->assertCreated()->json('id');
    $group = Group::query()->create(['teacher_id' => $teacher->id, 'name' => 'Band']);
    $invitation = Invitation::query()->create([
        'kind' => InvitationKind::Student, 'token' => 'x', 'made_by' => $teacher->id, 'expires_at' => now()->addDay(),
    ]);
    Storage::fake('local')->put("sounds/{$take}", 'RIFF');
    Take::query()->whereKey($take)->update(['sound_at' => 0]);
    $hearing = AskedHearing::query()->create(['user_id' => $teacher->id, 'name' => 'take.wav', 'state' => HearingState::Waits]);
    $this->actingAs($teacher)->postJson('/api/grips', ['name' => 'Knot', 'symbol' => 'Dm', 'frets' => 'x x 0 2 3 1'])->assertOk();
    $grip = $this->getJson('/api/grips')->json('0.id');
    $names = ['breakdown' => $breakdown->id, 'id' => $breakdown->id, 'take' => $take, 'version' => $breakdown->revisions()->value('id'), 'format' => 'json',
        'student' => $student->id, 'assignment' => $assignment->id, 'group' => $group->id, 'invitation' => $invitation->id, 'hearing' => $hearing->id, 'grip' => $grip];
    // What a student may do with what is given to them: look, play, hear, take along, remark.
    $forStudents = '~^(GET api/breakdowns/\{breakdown\}(/log|/practice|/takes.*|/export/\{format\}|/ears)?'
        .'|DELETE api/breakdowns/\{breakdown\}/takes/\{take\}/sound|POST api/breakdowns/\{breakdown\}/(takes.*|recordings|ears))$~';
    $wrong = [];
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        preg_match_all('/\{(\w+)\}/', $route->uri(), $found);
        $known = array_diff($found[1], array_keys($names)) === [] && $found[1] !== [];
        if (! str_starts_with($route->uri(), 'api/') || ! $known) {
            continue;
        }
        $method = $route->methods()[0];
        $named = static fn (array $name): string => (string) $names[$name[1]];
        $address = (string) preg_replace_callback('/\{(\w+)\}/', $named, $route->uri());
        $shared = preg_match($forStudents, "{$method} {$route->uri()}") === 1;
        foreach ($people as $who => $person) {
            auth()->forgetGuards();
            $person === null ? auth()->logout() : $this->actingAs($person);
            // A delete would take away what the next one asks for: who may is asked last of all, by the tests of each.
            if ($method === 'DELETE' && $who === 'teacher') {
                continue;
            }
            $asked++;
            $status = $this->json($method, '/'.$address)->baseResponse->getStatusCode();
            $mine = $who === 'teacher' || ($who === 'student' && $shared) || (in_array($who, ['owner', 'student'], true) && str_contains($route->uri(), 'students/'));
            $fits = match (true) {
                $who === 'nobody' => $status === 401,
                $mine => in_array($status, THERE, true),
                // A student knows that what is given to them is there, and may not change it.
                $who === 'student' && str_contains($route->uri(), 'breakdowns/') => $status === 403,
                default => $status === 404,
            };
            $wrong[] = $fits ? null : "{$who}: {$method} {$address} answers {$status}";
        }
    }

    expect(array_values(array_filter($wrong)))->toBe([])->and($asked)->toBeGreaterThan(100)
        ->and(Take::query()->find($take))->not->toBeNull()->and($breakdown->refresh()->deleted_at)->toBeNull();
});
