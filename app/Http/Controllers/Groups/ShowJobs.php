<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Compute\VoicedForms;
use App\Documents\BreakdownStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\JobsRequest;
use App\Models\Breakdown;
use App\Models\Group;
use App\Models\User;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Pass;
use Gravik\Ensemble\BandJob;
use Gravik\Ensemble\BandJobs;
use Gravik\Ensemble\BandMember;
use Gravik\Ensemble\Heard;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowJobs extends Controller
{
    #[OA\Get(path: '/api/groups/{group}/jobs', summary: 'Who does what in each pass of a tune, so that nobody is idle', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'breakdown', description: 'id, of one of your own', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'pass by pass', content: new OA\JsonContent(type: 'array', items: new OA\Items(
        required: ['pass', 'name', 'lead', 'jobs'],
        properties: [
            new OA\Property(property: 'pass', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'lead', description: 'who solos, in the teacher’s words', type: 'string'),
            new OA\Property(property: 'jobs', type: 'array', items: new OA\Items(required: ['member', 'words', 'plays'], properties: [
                new OA\Property(property: 'member', description: 'id', type: 'integer'),
                new OA\Property(property: 'words', type: 'string'),
                new OA\Property(property: 'plays', type: 'boolean'),
            ], type: 'object')),
        ],
        type: 'object',
    )))])]
    public function __invoke(JobsRequest $request, Group $group, BreakdownStore $store, VoicedForms $voiced, BandJobs $jobs): JsonResponse
    {
        $breakdown = Breakdown::query()->where('owner_id', $this->user($request)->id)->findOrFail($request->string('breakdown')->toString());
        $song = $store->document($breakdown);
        $members = $group->load('members:id')->members->map(static fn (User $member): BandMember => new BandMember(
            $member->id,
            Instrument::tryFrom($group->playsOf($member)),
        ))->values()->all();
        $shared = $jobs->share(new Heard($song, (new Performer())->perform($song, null, $voiced->all($song))), array_values($members));

        return new JsonResponse(array_map(static fn (Pass $pass): array => [
            'pass' => $pass->id,
            'name' => $pass->name,
            'lead' => $pass->lead,
            'jobs' => array_map(static fn (BandJob $job): array => [
                'member' => $job->member,
                'words' => $job->words(),
                'plays' => $job->part !== null,
            ], $shared[$pass->id]),
        ], $song->passes));
    }
}
