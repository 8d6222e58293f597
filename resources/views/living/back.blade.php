<div class="small">{{ $guide['says'] }}</div>
@if ($guide['same'] !== '')
    <div>The same steps as {{ $guide['same'] }}.</div>
@else
    <ol>
        @foreach ($guide['steps'] as $step)
            <li>{{ $step }}</li>
        @endforeach
    </ol>
@endif
