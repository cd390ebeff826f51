import type { Catalogue } from '@even-tally/core';

export const weather: Catalogue['weather'] = {
  'cold-40':
    'Bajo 40 °F: caliente la arena o el agua para que la mezcla salga entre 40 y 120 °F. Agua nunca a más de 140 °F, y las piezas sin hielo.',
  'cold-32': 'Bajo cero: mezcla de 40 a 120 °F, y que no se hiele en las artesas hasta usarla.',
  'cold-25': 'Bajo 25 °F: caliente el muro mismo a 40 °F y ponga cortavientos si sopla a más de 15 mph.',
  'cold-20':
    'A 20 °F o menos no se coloca a la intemperie: solo en un recinto a más de 32 °F, y ninguna pieza a menos de 20 °F.',
  'cold-cover': 'Cubra lo colocado contra la intemperie 24 horas.',
  'cold-cover-wrap': 'Arrope lo colocado con mantas 24 horas.',
  'cold-cover-heat': 'Mantenga lo colocado a más de 32 °F 24 horas, encerrado y con calor.',
  'hot-begin':
    'Calor: arena húmeda, mezcla bajo 120 °F y usada dentro de 2 horas desde su agua; moje antes tableros y mezcladora.',
  'hot-more': 'Mucho calor: sombra al montón, a los sacos y a las piezas, y agua fresca.',
  'hot-cure': 'Rocíe el muro hasta humedecerlo, tres veces al día durante tres días.',
  'stop-3': 'A 3 °C y bajando, pare. Siga a 3 °C y subiendo, nunca sobre obra helada.',
  'frost-after': 'Helada esta noche: cubra lo nuevo con algo seco que guarde el calor.',
  'lime-5': 'Bajo 5 °C no se coloca cal: no fragua y la helada se la lleva.',
  'lime-frost': 'Helada esta noche: la cal sigue blanda semanas; arrópela con arpillera y sin mojarla.',
  'earth-frost': 'La helada deshace la tierra húmeda: no coloque.',
  'hot-lime':
    'Calor o viento seco: sombra al muro, humedezca las piezas, rocíe las juntas y téngalas bajo arpillera.',
  'hot-metric':
    'Calor o viento seco: sombra a la mezcla, humedezca el ladrillo que chupa y tienda camas más cortas.',
  'rain-cover': 'Lluvia: cubra piezas y arena, y el muro en cada parada. La lluvia lava las juntas frescas.',
  'rain-earth': 'Lluvia: cubra los adobes y el muro. La tierra mojada no carga nada.',
  'wind-brace':
    'Viento de más de 20 mph: un muro de un día solo se sostiene apuntalado. Nadie del otro lado.',
  'waits-double': 'Cerca de 5 °C todo fragua a la mitad: el doble de espera.',
};
