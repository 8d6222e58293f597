<div class="small">{{ $guide['says'] }}</div>
<ol>
    @foreach ($guide['steps'] as $step)
        <li>{{ $step }}</li>
    @endforeach
</ol>
