<?php

use EmberDusk\Joining\Event;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('join_events', function (Blueprint $table): void {
            $table->string('task', 120)->nullable();
            $table->string('step', 60)->nullable();
            $table->string('answer', 20)->nullable();
        });
        $answers = DB::table('join_events')->whereIn('kind', [Event::DONE, Event::SAW, Event::MENDED]);
        foreach ($answers->lazyById() as $row) {
            $event = Event::read((float) $row->at, $row->kind, $row->device, $row->text);
            DB::table('join_events')
                ->where('id', $row->id)
                ->update([
                    'text' => $event->text,
                    'task' => $event->step?->task,
                    'step' => $event->step?->kind,
                    'answer' => $event->answer(),
                ]);
        }
    }

    public function down(): void
    {
        $answers = DB::table('join_events')->whereIn('kind', [Event::DONE, Event::SAW, Event::MENDED]);
        foreach ($answers->lazyById() as $row) {
            $step = $row->task === null ? $row->text : "{$row->task}/{$row->step}";
            $text = $row->answer === null ? $step : "{$step}|{$row->answer}";
            DB::table('join_events')
                ->where('id', $row->id)
                ->update(['text' => $text]);
        }
        Schema::table('join_events', fn(Blueprint $table) => $table->dropColumn(['task', 'step', 'answer']));
    }
};
