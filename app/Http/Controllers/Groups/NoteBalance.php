<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Http\Requests\BalanceRequest;
use App\Models\Balance;
use App\Models\Breakdown;
use App\Models\Group;
use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class NoteBalance extends Controller
{
    #[OA\Post(path: '/api/groups/{group}/balances', summary: 'Note what one of the band heard, from where', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
        required: ['breakdown', 'heard_by', 'seat', 'gain_db', 'verdict'],
        properties: [
            new OA\Property(property: 'breakdown', description: 'id', type: 'string'),
            new OA\Property(property: 'heard_by', description: 'id of a member', type: 'integer'),
            new OA\Property(property: 'seat', type: 'string', enum: Seat::class),
            new OA\Property(property: 'gain_db', description: 'null for the band without the guitar', type: 'number', nullable: true),
            new OA\Property(property: 'verdict', type: 'string', enum: BalanceVerdict::class),
        ],
    )), responses: [
        new OA\Response(response: 201, description: 'kept', content: new OA\JsonContent(ref: '#/components/schemas/BandBalance')),
    ])]
    public function __invoke(BalanceRequest $request, Group $group): JsonResponse
    {
        $breakdown = Breakdown::query()->where('owner_id', $this->user($request)->id)->findOrFail($request->string('breakdown')->toString());
        $listener = $group->members()->findOrFail($request->integer('heard_by'), ['users.id', 'users.name']);
        $balance = Balance::query()->create([
            'group_id' => $group->id,
            'breakdown_id' => $breakdown->id,
            'heard_by' => $listener->id,
            'seat' => $request->enum('seat', Seat::class),
            'gain_db' => $request->filled('gain_db') ? $request->float('gain_db') : null,
            'verdict' => $request->enum('verdict', BalanceVerdict::class),
        ]);

        return new JsonResponse(ListBalances::told($balance->setRelation('listener', $listener)), 201);
    }
}
