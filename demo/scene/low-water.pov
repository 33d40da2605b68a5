// "Low water": a still life on a harbour wall. Our own scene, made for the demo.
// Cool morning:   povray +Ilow-water.pov +W1920 +H1440 +A0.1 +AM2 +R3 -D +Omorning.png Declare=Evening=0
// Low warm sun:   … Declare=Evening=1
// The finished images are committed under demo/photos; set-up does not render.
#version 3.7;
#ifndef (Evening) #declare Evening = 0; #end

global_settings {
  assumed_gamma 1.0
  max_trace_level 12
  radiosity { count 120 nearest_count 8 error_bound 0.6 recursion_limit 2 low_error_factor 0.6 gray_threshold 0.0 brightness 1.0 minimum_reuse 0.012 }
}

#default { finish { ambient 0 diffuse 0.75 } }

#if (Evening)
  #declare SunColour = rgb <2.3, 1.42, 0.74>;
  #declare SunFrom = <9, 4.2, -5>;
  #declare SkyLow = rgb <0.95, 0.72, 0.50>;
  #declare SkyHigh = rgb <0.34, 0.40, 0.55>;
#else
  #declare SunColour = rgb <1.22, 1.27, 1.34>;
  #declare SunFrom = <-9, 9.5, -5>;
  #declare SkyLow = rgb <0.80, 0.86, 0.90>;
  #declare SkyHigh = rgb <0.50, 0.61, 0.74>;
#end

camera {
  location <0.4, 4.4, -10.2>
  look_at <0.15, 0.62, 0.2>
  right x*4/3
  angle 39
}

light_source {
  SunFrom * 3, SunColour * 1.15
  area_light <5, 0, 2>, <0, 5, 1>, 7, 7 adaptive 2 jitter circular orient
}

sky_sphere {
  pigment { gradient y color_map { [0 SkyLow] [0.35 SkyHigh * 1.05] [1 SkyHigh * 0.8] } }
  emission #if (Evening) rgb 0.42 #else rgb 0.52 #end
}

// ---------------------------------------------------------------- the wall
#declare Granite = texture {
  pigment {
    granite scale 1.4
    color_map {
      [0.00 rgb <0.20, 0.195, 0.185>]
      [0.35 rgb <0.33, 0.32, 0.30>]
      [0.60 rgb <0.42, 0.405, 0.38>]
      [1.00 rgb <0.58, 0.56, 0.52>]
    }
  }
  normal { granite 0.35 scale 0.5 }
  finish { diffuse 0.8 specular 0.04 roughness 0.08 }
}
#declare Speckle = texture {
  pigment {
    bozo scale 0.05 turbulence 0.6
    color_map { [0 rgbt <0.08, 0.08, 0.08, 0.35>] [0.25 rgbt <0.3, 0.3, 0.28, 0.9>] [0.6 rgbt 1] [0.85 rgbt <0.8, 0.78, 0.74, 0.7>] [1 rgbt <0.9, 0.88, 0.84, 0.4>] }
  }
  finish { diffuse 0.7 }
}
#declare Lichen = texture {
  pigment {
    wrinkles scale 1.1 turbulence 0.5
    color_map { [0 rgbt 1] [0.62 rgbt 1] [0.72 rgbt <0.55, 0.50, 0.20, 0.55>] [0.80 rgbt <0.62, 0.60, 0.42, 0.45>] [0.9 rgbt 1] [1 rgbt 1] }
  }
}
#declare Weed = texture {
  pigment {
    gradient y scale 3 translate <0, -1.5, 0> turbulence 0.35
    color_map { [0 rgbt <0.05, 0.075, 0.04, 0.05>] [0.45 rgbt <0.07, 0.09, 0.04, 0.35>] [0.75 rgbt <0.12, 0.13, 0.08, 0.85>] [1 rgbt 1] }
  }
}
#macro Block(X0, X1, Z0, Z1, Lift, Spin)
  superellipsoid {
    <0.05, 0.05>
    scale <(X1 - X0) / 2 - 0.03, 1.4, (Z1 - Z0) / 2 - 0.03>
    rotate y * Spin
    translate <(X0 + X1) / 2, -1.4 + Lift, (Z0 + Z1) / 2>
    texture { Granite translate <X0, Lift * 10, Z0> rotate y * X0 * 20 } texture { Speckle translate X0 } texture { Lichen translate <X0, 0, Z0> } texture { Weed }
  }
#end
union {
  Block(-9, -3.7, -2.6, 0.5, 0.00, 0.3)
  Block(-3.7, 1.9, -2.6, 0.5, 0.03, -0.2)
  Block(1.9, 8, -2.6, 0.5, -0.02, 0.2)
  Block(-9, -5.6, 0.5, 3.6, 0.02, -0.3)
  Block(-5.6, -0.4, 0.5, 3.6, -0.02, 0.2)
  Block(-0.4, 4.6, 0.5, 3.6, 0.04, 0)
  Block(4.6, 9, 0.5, 3.6, 0.0, 0.4)
}
box { <-12, -3, -2.5>, <12, -0.18, 3.5> pigment { rgb <0.02, 0.022, 0.02> } }

// ---------------------------------------------------------------- water, mud and mist beyond
plane {
  y, -4.2
  pigment { #if (Evening) rgb <0.20, 0.17, 0.13> #else rgb <0.13, 0.17, 0.18> #end }
  normal { bumps 0.22 scale <5, 1, 1.1> turbulence 0.4 }
  finish { diffuse 0.45 reflection { 0.12, 0.75 fresnel } conserve_energy specular 0.2 roughness 0.02 }
  interior { ior 1.33 }
}
fog { fog_type 1 distance 240 color #if (Evening) rgb <0.86, 0.66, 0.46> * 0.75 #else rgb <0.72, 0.79, 0.84> * 0.82 #end }
// the far bank and a row of posts, soft with distance
height_field {
  function 200, 40 { pattern { bozo scale <0.12, 0.5, 1> turbulence 0.3 } }
  translate <-0.5, 0, 0> scale <260, 9, 16> translate <0, -5, 92>
  pigment { rgb <0.12, 0.14, 0.11> }
}
#declare P = 0;
#while (P < 7)
  cylinder { <-16 + P * 2.9, -5, 17 + P * 1.2>, <-16 + P * 2.9 + 0.15, -0.4 - mod(P * 7, 3) * 0.35, 17 + P * 1.2>, 0.24 pigment { rgb <0.05, 0.048, 0.042> } }
  #declare P = P + 1;
#end
// a tarred mooring post behind the wall, almost black
difference {
  cylinder { <4.55, -4, 4.6>, <4.62, 3.3, 4.6>, 0.78 }
  torus { 0.78, 0.09 translate <4.6, 2.3, 4.6> }
  texture {
    pigment { wood scale 0.35 rotate x * 90 turbulence 0.2 color_map { [0 rgb <0.012, 0.011, 0.011>] [1 rgb <0.035, 0.031, 0.028>] } }
    normal { wrinkles 0.5 scale <0.12, 1.2, 0.12> }
    finish { diffuse 0.6 specular 0.25 roughness 0.05 }
  }
}

// ---------------------------------------------------------------- faded blue plank
#declare PlankWood = texture {
  pigment {
    wood scale <0.06, 0.06, 1> rotate y * 90 turbulence <0.02, 0.06, 0.06> octaves 4
    color_map { [0 rgb <0.40, 0.34, 0.27>] [0.6 rgb <0.30, 0.25, 0.19>] [1 rgb <0.21, 0.17, 0.13>] }
  }
  normal { wood 0.4 scale <0.05, 0.05, 1> rotate y * 90 turbulence 0.05 }
  finish { diffuse 0.8 }
}
#declare BluePaint = texture {
  pigment {
    granite scale <2.6, 0.5, 0.55> turbulence 0.25
    color_map {
      [0.00 rgbt <0.20, 0.32, 0.47, 0>]
      [0.42 rgbt <0.27, 0.40, 0.54, 0.02>]
      [0.56 rgbt <0.38, 0.49, 0.60, 0.10>]
      [0.66 rgbt <0.46, 0.55, 0.62, 0.45>]
      [0.72 rgbt <0.5, 0.5, 0.5, 1>]
      [1.00 rgbt 1]
    }
  }
  normal { granite 0.25 scale <1.2, 0.2, 0.2> }
  finish { diffuse 0.8 specular 0.05 roughness 0.06 }
}
difference {
  superellipsoid { <0.06, 0.06> scale <5.2, 0.19, 0.72> }
  cylinder { <-4.3, -1, 0.18>, <-4.3, 1, 0.18>, 0.13 }
  cylinder { <4.1, -1, -0.2>, <4.1, 1, -0.2>, 0.11 }
  box { <-5.4, -0.3, 0.5>, <-4.8, 0.3, 0.9> rotate y * -7 }
  texture { PlankWood } texture { BluePaint }
  rotate y * 9
  translate <-0.6, 0.23, 1.75>
}

// ---------------------------------------------------------------- glass float
#declare SeaGlass = material {
  texture {
    pigment { rgbt <0.86, 0.97, 0.93, 0.97> }
    normal { bumps 0.06 scale 0.35 }
    finish { diffuse 0.06 specular 0.7 roughness 0.004 reflection { 0.03, 0.85 fresnel } conserve_energy }
  }
  interior { ior 1.5 fade_distance 0.16 fade_power 1001 fade_color <0.16, 0.50, 0.40> }
}
union {
  difference {
    sphere { 0, 1.36 }
    sphere { <0.02, 0.03, 0>, 1.24 }
    material { SeaGlass }
  }
  sphere { 0, 0.27 scale <1, 0.42, 1> translate <0.28, 1.34, -0.22> material { SeaGlass } }
  // what has dried inside
  intersection {
    sphere { 0, 1.235 }
    plane { y, -1.02 }
    pigment { rgb <0.16, 0.19, 0.13> }
  }
  rotate <0, 20, -14>
  translate <-2.15, 1.38, -0.05>
}

// ---------------------------------------------------------------- rusted iron ring
#declare Rust = texture {
  pigment {
    granite scale 0.8
    color_map {
      [0.00 rgb <0.045, 0.022, 0.014>]
      [0.30 rgb <0.13, 0.050, 0.022>]
      [0.50 rgb <0.25, 0.095, 0.032>]
      [0.70 rgb <0.36, 0.155, 0.052>]
      [1.00 rgb <0.50, 0.27, 0.11>]
    }
  }
  normal { granite 0.9 scale 0.28 }
  finish { diffuse 0.8 specular 0.08 roughness 0.1 }
}
union {
  torus { 0.98, 0.165 rotate x * 90 translate y * 1.02 rotate x * 62 }
  torus { 0.22, 0.10 rotate z * 90 translate <0, 0.18, 0.02> }
  superellipsoid { <0.25, 0.25> scale <0.46, 0.07, 0.36> translate <0, 0.05, 0.06> }
  sphere { <-0.32, 0.13, 0.06>, 0.085 } sphere { <0.32, 0.13, 0.06>, 0.085 }
  texture { Rust }
  rotate y * -24
  translate <2.55, 0.02, -1.25>
}
// ---------------------------------------------------------------- pale rope, three strands laid round each other
#declare RopeTexture = texture {
  pigment {
    bozo scale 0.06 turbulence 0.4
    color_map { [0 rgb <0.45, 0.38, 0.27>] [0.5 rgb <0.60, 0.53, 0.40>] [1 rgb <0.72, 0.66, 0.53>] }
  }
  normal { wrinkles 0.55 scale 0.045 }
  finish { diffuse 0.85 }
}
#macro RopePath(T)
  // a flat coil of two and a half turns that climbs on itself, then a loose end
  #local Turn = min(T, 2.6);
  #local Radius = 1.18 - 0.07 * sin(Turn * 5) - 0.09 * Turn;
  #local A = Turn * 2 * pi;
  #local Rest = max(0, T - 2.6);
  (<Radius * cos(A), 0.15 + 0.135 * Turn + 0.03 * sin(A * 2.3), Radius * 0.86 * sin(A)>
    + Rest * <-2.9 , -0.62, 0.35> + Rest * Rest * <-0.4, 0.1, -2.1>)
#end
union {
  #declare T = 0;
  #declare Step = 0.0022;
  #declare Length = 0;
  #while (T < 3.05)
    #local C = RopePath(T);
    #local D = vnormalize(RopePath(T + 0.002) - C);
    #local U = vnormalize(vcross(D, <0.12, 1, 0.07>));
    #local V = vcross(U, D);
    #local S = 0;
    #while (S < 3)
      #local Phi = Length * 6.2 + S * 2 * pi / 3;
      sphere { C + 0.078 * (cos(Phi) * U + sin(Phi) * V), 0.083 }
      #local S = S + 1;
    #end
    #declare Length = Length + vlength(RopePath(T + Step) - C);
    #declare T = T + Step;
  #end
  texture { RopeTexture }
  translate <0.35, 0.03, -1.05>
}

// ---------------------------------------------------------------- white enamel mug with a chipped rim
#declare Enamel = texture {
  pigment { bozo scale 2 color_map { [0 rgb <0.90, 0.90, 0.885>] [1 rgb <0.94, 0.94, 0.93>] } }
  normal { bumps 0.03 scale 0.5 }
  finish { diffuse 0.72 specular 0.75 roughness 0.006 reflection { 0.01, 0.32 fresnel } conserve_energy }
}
#declare BareIron = texture { pigment { granite scale 0.3 color_map { [0 rgb <0.025, 0.022, 0.022>] [0.6 rgb <0.06, 0.045, 0.04>] [1 rgb <0.16, 0.075, 0.04>] } } normal { granite 0.4 scale 0.1 } }
#declare RimBlue = texture { pigment { rgb <0.035, 0.055, 0.13> } finish { diffuse 0.8 specular 0.6 roughness 0.01 reflection { 0.01, 0.25 fresnel } } }
#declare Chips = union {
  sphere { 0, 0.20 scale <1, 0.9, 1> translate <-0.52, 2.02, -0.74> }
  sphere { 0, 0.11 translate <-0.28, 2.05, -0.88> }
  sphere { 0, 0.13 scale <1.3, 0.7, 1> translate <0.55, 0.62, -0.78> }
  sphere { 0, 0.06 translate <0.71, 0.80, -0.62> }
  sphere { 0, 0.10 translate <0.80, 2.04, 0.45> }
}
union {
  difference {
    union {
      cone { <0, 0, 0>, 0.86, <0, 2.0, 0>, 0.92 }
      torus { 0.80, 0.06 translate y * 0.02 }
    }
    cone { <0, 0.10, 0>, 0.81, <0, 2.2, 0>, 0.88 }
    object { Chips }
    texture { Enamel }
    interior { ior 1.5 }
  }
  difference { torus { 0.905, 0.050 translate y * 2.0 } object { Chips } texture { RimBlue } interior { ior 1.5 } }
  // iron under the enamel
  difference { cone { <0, 0.02, 0>, 0.852, <0, 2.025, 0>, 0.912 } cone { <0, 0.1, 0>, 0.816, <0, 2.2, 0>, 0.884 } texture { BareIron } }
  // handle
  difference {
    torus { 0.52, 0.085 rotate x * 90 scale <0.95, 1.08, 1.5> translate <0.98, 1.10, 0> }
    cylinder { <0, 0.3, 0>, <0, 1.9, 0>, 0.86 }
    texture { Enamel }
    interior { ior 1.5 }
  }
  rotate y * -32
  translate <2.75, 0.42, 1.65>
}
// a short dark end of plank propping nothing in particular: the darkest shadows lie under it
superellipsoid {
  <0.1, 0.1> scale <1.0, 0.16, 0.42>
  texture { PlankWood } texture { pigment { rgbt <0.03, 0.025, 0.02, 0.35> } }
  rotate <0, 38, 0> translate <-5.0, 0.19, -1.1>
}
